<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useAttempt } from '../api/useAttempt'
import { useMe } from '../api/useMe'
import { timeOfDay } from './format'
import { useHandle } from './handle'
import { tell } from '../words/words'

const { visit, page, add, close, problem } = useHandle()
const { lead } = useMe()
const route = useRoute()
const router = useRouter()
const stops = computed(() => page.value!.stops)
const first = computed(() => stops.value[0]!)
const closed = computed(() => Boolean(visit.value!.closedAt))
const lifting = ref(false)
const tagging = ref(false)
const done = ref('')
const told = ref('')
const signed = ref(true)
const risk = ref('')
const next = ref('')
const { problem: trouble, busy, attempt } = useAttempt()

async function lift() {
  if (await add({ kind: 'LIFTED', finding: first.value.finding, done: done.value })) {
    done.value = ''
    lifting.value = false
  }
}

async function tag() {
  await attempt(async () => {
    const entry = { kind: 'TAGGED' as const, told: told.value, signed: signed.value }
    const more = { ...(risk.value.trim() && { risk: risk.value }), ...(next.value.trim() && { next: next.value }) }
    if (await add({ ...entry, ...more })) {
      await close('SHUT_OFF', first.value.what)
      await router.push({ name: 'report', params: route.params })
    }
  })
}
</script>

<template>
  <main class="stop" aria-labelledby="stop-title" data-test="stop" :data-finding="first.finding">
    <p class="word">{{ tell('stopPanel.stop') }}</p>
    <h1 id="stop-title" class="what">{{ first.what }}</h1>
    <p v-if="stops.length > 1" class="soft">
      {{
        tell('stopPanel.and', {
          value: stops
            .slice(1)
            .map((s) => s.what)
            .join('; '),
        })
      }}
    </p>
    <p class="soft">{{ tell('stopPanel.foundAt', { timeOfDay: timeOfDay(first.at) }) }}</p>
    <h2 class="h5">{{ tell('stopPanel.nowInThisOrder') }}</h2>
    <ol class="now">
      <li v-for="n in first.now" :key="n">{{ n }}</li>
    </ol>
    <h2 class="h5">{{ tell('stopPanel.call') }}</h2>
    <p class="big">{{ first.call }}</p>
    <h2 class="h5">{{ tell('stopPanel.doNot') }}</h2>
    <p class="big">{{ first.never }}</p>
    <h2 class="h5">{{ tell('stopPanel.theWorkGoesOnWhen') }}</h2>
    <p>{{ first.until }}</p>
    <template v-if="!closed">
      <div class="ways">
        <button type="button" class="key next" data-test="tag" :aria-expanded="tagging" @click="tagging = !tagging">
          {{ tell('stopPanel.shutOffAndTag') }}
        </button>
        <button type="button" class="key" data-test="lift" :aria-expanded="lifting" @click="lifting = !lifting">
          {{ tell('stopPanel.itIsRepaired') }}
        </button>
      </div>
      <form v-if="tagging" class="form" data-test="tag-form" @submit.prevent="tag">
        <label for="told">{{ tell('stopPanel.whoWasTold') }}</label>
        <input id="told" v-model="told" class="form-control field" maxlength="200" required />
        <label class="choice"
          ><input v-model="signed" type="radio" :value="true" /> {{ tell('stopPanel.signedTheNotice') }}</label
        >
        <label class="choice"
          ><input v-model="signed" type="radio" :value="false" /> {{ tell('stopPanel.refusedToSign') }}</label
        >
        <label for="risk">{{ tell('stopPanel.atRiskWhileItIs') }}</label>
        <input id="risk" v-model="risk" class="form-control field" maxlength="400" />
        <label for="next-visit">{{ tell('stopPanel.nextVisit') }}</label>
        <input id="next-visit" v-model="next" class="form-control field" maxlength="200" />
        <p v-if="trouble" class="problem" role="alert">{{ trouble }}</p>
        <button type="submit" class="key next" :disabled="!told.trim() || busy" data-test="tag-send">
          {{ tell('stopPanel.taggedAndToldCloseThe') }}
        </button>
      </form>
      <form v-if="lifting" class="form" data-test="lift-form" @submit.prevent="lift">
        <p v-if="first.licence" class="soft">
          {{
            tell('stopPanel.needsAPersonWithA', {
              licence: first.licence,
              lead: first.leadMay && lead ? tell('stopPanel.orYouAsTheLead') : '',
            })
          }}
        </p>
        <label for="done">{{ tell('stopPanel.whatWasDoneMeasuredAnd') }}</label>
        <textarea id="done" v-model="done" class="form-control field" rows="3" maxlength="2000" required></textarea>
        <button type="submit" class="key next" :disabled="!done.trim()" data-test="lift-send">
          {{ tell('stopPanel.itIsRepaired') }}
        </button>
      </form>
      <p v-if="problem" class="problem" role="alert">{{ problem.message }}</p>
    </template>
  </main>
</template>

<style scoped lang="scss">
.stop {
  max-width: 44rem;
  margin: 0 auto;
  padding: 0.75rem 1rem 3rem;
  border-left: 16px solid var(--danger);
}
.word {
  display: inline-block;
  margin: 0;
  padding: 0.1rem 0.7rem;
  font-size: 1.5rem;
  font-weight: 700;
  letter-spacing: 0.12em;
  background: var(--danger);
  color: var(--paper);
}
.what {
  margin: 0.4rem 0;
  font-size: 1.75rem;
}
.now {
  padding-left: 1.6rem;
}
.now li {
  padding: 0.15rem 0 0.15rem 0.3rem;
  font-size: 1.25rem;
  font-weight: 700;
}
.big {
  font-size: 1.125rem;
  font-weight: 700;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
}
.ways .key {
  min-height: 56px;
  flex: 1;
}
.form {
  display: grid;
  gap: 0.35rem;
  margin-top: 0.75rem;
}
.choice {
  display: flex;
  gap: 0.5rem;
  align-items: center;
  min-height: 44px;
}
@media (max-width: 700px) {
  .stop {
    border-left-width: 8px;
    padding-inline: 0.75rem;
  }
  .what {
    font-size: 1.375rem;
  }
  .now li {
    font-size: 1.0625rem;
  }
}
</style>
