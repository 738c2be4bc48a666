<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import type { ChangeOut, TerminalLine } from '../api/client'
import { useHandle } from '../visit/handle'
import { tell } from '../words/words'

/** What is on each terminal and what is typed off the board; one tap where it is as usual. */
const props = defineProps<{ change: ChangeOut; closed: boolean }>()
/** What is typed off this board, off the new one, off that of the next unit. */
const groups = computed(() => {
  const of = (begins: RegExp) => props.change.plate.filter((p) => begins.test(p.what))
  return [of(/^(?!NEW_|TWIN_)/), of(/^NEW_/), of(/^TWIN_/)]
})
const titles = ['', tell('asFound.compareWithTheNew'), tell('asFound.compareWithTheNext')]
const typed = (group: ChangeOut['plate']) => group.some((p) => p.text)
const { add } = useHandle()
const texts = reactive<Record<string, string>>({})
/** The terminal that has something else on it than usual. */
const other = ref('')
const own = ref('')
const ownConductor = ref('')
const plates = reactive<Record<string, string>>({})
const cable = ref('')
const spare = ref('')

function keep(line: TerminalLine, conductor: string) {
  if (!conductor.trim()) return
  add({ kind: 'TERMINAL', terminal: line.terminal, conductor: conductor.trim() })
  delete texts[line.terminal]
  other.value = ''
}
function keepOwn() {
  add({ kind: 'TERMINAL', terminal: own.value.trim(), conductor: ownConductor.value.trim() })
  own.value = ''
  ownConductor.value = ''
}
function keepPlate(what: ChangeOut['plate'][number]['what']) {
  const text = plates[what]?.trim()
  if (text) add({ kind: 'PLATE', what, text })
}
function keepSpare() {
  add({ kind: 'SPARE', cable: cable.value.trim(), conductor: spare.value.trim() })
  spare.value = ''
}
</script>

<template>
  <component :is="i ? 'details' : 'div'" v-for="(group, i) in groups" :key="i" :open="i > 0 && typed(group)">
    <summary v-if="i" class="fold">{{ titles[i] }}</summary>
    <dl class="plates">
      <div v-for="p in group" :key="p.what">
        <dt>
          <label :for="`plate-${p.what}`">{{ p.label }}</label>
        </dt>
        <dd>
          <input
            :id="`plate-${p.what}`"
            class="form-control num"
            maxlength="60"
            :value="plates[p.what] ?? p.text ?? ''"
            :disabled="closed"
            @input="plates[p.what] = ($event.target as HTMLInputElement).value"
            @change="keepPlate(p.what)"
          />
        </dd>
      </div>
    </dl>
  </component>
  <p v-for="n in change.numbers" :key="n" class="numbers" role="status" data-test="numbers">{{ n }}.</p>
  <ul class="terminals">
    <li v-for="t in change.terminals" :key="t.terminal" :class="{ known: t.conductor }">
      <span class="name">{{ t.label }}</span>
      <span v-if="t.conductor" class="on">{{ t.conductor }}</span>
      <template v-else-if="!closed">
        <button v-if="t.usual" type="button" class="key" :data-test="`usual-${t.terminal}`" @click="keep(t, t.usual)">
          {{ t.usual }}
        </button>
        <button
          v-if="t.usual && other !== t.terminal"
          type="button"
          class="key quiet"
          :aria-label="tell('asFound.otherThanUsualOn', { label: t.label })"
          @click="other = t.terminal"
        >
          {{ tell('asFound.other') }}
        </button>
        <form v-else class="typed" @submit.prevent="keep(t, texts[t.terminal] ?? '')">
          <input
            v-model="texts[t.terminal]"
            class="form-control"
            maxlength="120"
            :placeholder="tell('asFound.somethingElse')"
            :aria-label="tell('asFound.whatIsOn', { label: t.label })"
          />
          <button class="key quiet" type="submit">{{ tell('common.keep') }}</button>
        </form>
      </template>
      <span v-else class="soft">{{ tell('asFound.notRecorded') }}</span>
    </li>
  </ul>
  <template v-if="!closed">
    <form class="more" @submit.prevent="keepOwn">
      <input
        v-model="own"
        class="form-control"
        maxlength="60"
        :placeholder="tell('asFound.anotherTerminal')"
        :aria-label="tell('asFound.anotherTerminal2')"
        required
      />
      <input
        v-model="ownConductor"
        class="form-control"
        maxlength="120"
        :placeholder="tell('asFound.whatIsOnIt')"
        :aria-label="tell('asFound.whatIsOnTheOther')"
        required
      />
      <button class="key quiet" type="submit">{{ tell('asFound.addIt') }}</button>
    </form>
    <form class="more" @submit.prevent="keepSpare">
      <input
        v-model="cable"
        class="form-control"
        maxlength="60"
        :placeholder="tell('asFound.cable')"
        :aria-label="tell('asFound.cable2')"
        required
      />
      <input
        v-model="spare"
        class="form-control"
        maxlength="120"
        :placeholder="tell('asFound.spareConductor')"
        :aria-label="tell('asFound.spareConductor2')"
        required
      />
      <button class="key quiet" type="submit">{{ tell('asFound.addTheSpare') }}</button>
    </form>
  </template>
  <p v-if="change.spares.length">
    <strong>{{ tell('asFound.spare') }}</strong>
    {{ change.spares.map((s) => tell('asFound.in', { conductor: s.conductor, cable: s.cable })).join('; ') }}
  </p>
</template>

<style scoped lang="scss">
.plates {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem 1.5rem;
  margin: 0.5rem 0 1rem;
}
.fold {
  min-height: 44px;
  padding: 0.5rem 0;
  font-weight: 700;
}
.numbers {
  font-weight: 700;
}
dd {
  margin: 0;
}
.terminals {
  list-style: none;
  padding: 0;
  border-top: 2px solid var(--line);
}
.terminals li {
  display: grid;
  grid-template-columns: minmax(7rem, 1fr) auto minmax(4rem, auto);
  align-items: center;
  gap: 0.25rem 0.75rem;
  min-height: 52px;
  border-bottom: 1px solid var(--line-soft);
}
.name {
  font-weight: 700;
}
.known .on {
  grid-column: 2 / -1;
}
.known .on::before {
  content: '■ ';
  color: var(--next);
}
.typed {
  display: flex;
  gap: 0.5rem;
  grid-column: 3;
}
.more {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  margin-bottom: 0.5rem;
}
.more input {
  flex: 1 1 9rem;
}
@media (max-width: 700px) {
  .terminals li {
    grid-template-columns: minmax(0, 1fr) auto auto;
    padding: 0.35rem 0;
  }
  .typed {
    grid-column: 1 / -1;
  }
}
</style>
