<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ref, useTemplateRef, watch } from 'vue'
import { answer, api, checkPack, plain, Problem, type OwnPack, type PackCheck } from '../api/client'
import { useMe } from '../api/useMe'
import { useAttempt } from '../api/useAttempt'
import ProblemList from '../boards/ProblemList.vue'
import { tell } from '../words/words'

/** Packs of the company: written here or brought as a file, checked, kept in versions, used and withdrawn. */
const props = defineProps<{ family: string }>()
const emit = defineEmits<{ kept: [id: string] }>()
const DRAFT = 'brick.own-pack'
const AGAIN_MS = 1500

const { lead } = useMe()
const own = useQuery({ queryKey: ['own-packs'], queryFn: () => answer<OwnPack[]>(api.GET('/api/own-packs')) })
const text = ref(localStorage.getItem(DRAFT) ?? '')
const check = ref<PackCheck | null>(null)
const done = ref<number | null>(null)
const said = ref('')
const area = useTemplateRef('area')
const { problem, busy, attempt } = useAttempt()

watch(text, (now) => {
  localStorage.setItem(DRAFT, now)
  check.value = null
  said.value = ''
})

/** The text as its author wrote it, under a name of its own. */
async function begin() {
  if (text.value && !confirm(tell('ownPacks.thisTakesThePlaceOf'))) return
  await attempt(async () => {
    text.value = (await plain(`/api/packs/${props.family}/source`)).replace(/^pack: *(\S+)/m, 'pack: $1-own')
  })
}
async function bring(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (file) text.value = await file.text()
  input.value = ''
}
async function open(id: string, version: number) {
  await attempt(async () => (text.value = await plain(`/api/own-packs/${id}/${version}.yaml`)))
  area.value?.focus()
}

/** Every fault is run and proven: asked again until that is done. */
async function checked(keep: boolean): Promise<PackCheck> {
  const sent = text.value
  for (;;) {
    try {
      return await checkPack(sent, keep)
    } catch (failure) {
      if (!(failure instanceof Problem) || failure.progress === undefined) throw failure
      done.value = failure.progress
      await new Promise((resolve) => setTimeout(resolve, AGAIN_MS))
    }
  }
}
async function run(keep: boolean) {
  check.value = null
  said.value = ''
  done.value = 0
  await attempt(async () => {
    const found = await checked(keep)
    check.value = found
    said.value = !found.usable
      ? tell('ownPacks.nothingWasKept', {
          count: found.problems.length,
        })
      : keep
        ? tell('ownPacks.keptAsTheNewestVersion')
        : tell('ownPacks.itIsSoundEveryFault')
    if (keep && found.usable) await changed(/^pack: *(\S+)/m.exec(text.value)?.[1] ?? '')
  })
  done.value = null
}
async function changed(id: string) {
  await own.refetch()
  emit('kept', id)
}
async function use(id: string, version: number) {
  await attempt(async () => {
    await answer(api.POST('/api/own-packs/{id}/use/{version}', { params: { path: { id, version } } }))
    await changed(id)
  })
}
async function withdraw(id: string) {
  await attempt(async () => {
    await answer(api.POST('/api/own-packs/{id}/withdraw', { params: { path: { id } } }))
    await changed(id)
  })
}
function jump(line: number) {
  const lines = text.value.split('\n')
  const from = lines.slice(0, line - 1).reduce((sum, one) => sum + one.length + 1, 0)
  area.value?.focus()
  area.value?.setSelectionRange(from, from + (lines[line - 1]?.length ?? 0))
  if (area.value) area.value.scrollTop = (area.value.scrollHeight * Math.max(0, line - 4)) / lines.length
}
</script>

<template>
  <h2 class="h5">{{ tell('ownPacks.ourOwnEquipmentTypes') }}</h2>
  <p v-if="own.data.value?.length === 0" class="soft">
    {{ tell('ownPacks.noneYetStartFromThe') }}
  </p>
  <ul class="own">
    <li v-for="p in own.data.value" :key="p.id" :data-test="`own-${p.id}`">
      <p>
        <strong>{{ p.versions[0]?.title }}</strong> <span class="soft">{{ p.id }}</span>
        <span class="num">
          {{ p.withdrawn ? tell('ownPacks.withdrawn') : tell('ownPacks.versionIsUsed', { used: p.used }) }},
          {{ tell('ownPacks.unitsFollowIt', { units: p.units }) }}
        </span>
      </p>
      <p v-if="p.unreadable" class="problem" role="alert" :data-test="`unreadable-${p.id}`">
        {{ tell('ownPacks.versionCannotBeReadSince', { used: p.used, unreadable: p.unreadable }) }}
      </p>
      <div class="versions">
        <template v-for="v in p.versions" :key="v.version">
          <button type="button" class="key quiet" @click="open(p.id, v.version)">
            {{ tell('ownPacks.open', { version: v.version }) }}
          </button>
          <button
            v-if="lead && (p.withdrawn || v.version !== p.used)"
            type="button"
            class="key quiet"
            :disabled="busy"
            @click="use(p.id, v.version)"
          >
            {{ tell('ownPacks.use', { version: v.version }) }}
          </button>
        </template>
        <button
          v-if="lead && !p.withdrawn"
          type="button"
          class="key quiet"
          :disabled="busy"
          :data-test="`withdraw-${p.id}`"
          @click="withdraw(p.id)"
        >
          {{ tell('ownPacks.withdraw') }}
        </button>
      </div>
    </li>
  </ul>
  <div class="begin">
    <button type="button" class="key quiet" :disabled="busy || !family" data-test="begin" @click="begin">
      {{ tell('ownPacks.startFromThisType') }}
    </button>
    <label class="key quiet file">
      {{ tell('ownPacks.importAFile')
      }}<input type="file" accept=".yaml,.yml" class="visually-hidden" @change="bring" />
    </label>
  </div>
  <label for="own-text">{{ tell('ownPacks.textYaml') }}</label>
  <textarea
    id="own-text"
    ref="area"
    v-model="text"
    class="form-control text"
    rows="18"
    spellcheck="false"
    wrap="off"
    data-test="own-text"
  ></textarea>
  <div class="begin">
    <button type="button" class="key" :disabled="busy || !text" data-test="own-check" @click="run(false)">
      {{ tell('ownPacks.check') }}
    </button>
    <button
      v-if="lead"
      type="button"
      class="key next"
      :disabled="busy || !text"
      data-test="own-keep"
      @click="run(true)"
    >
      {{ tell('ownPacks.checkKeepAndUse') }}
    </button>
  </div>
  <p v-if="done !== null" role="status">
    {{ tell('ownPacks.everyFaultIsRunAnd', { done: Math.round(100 * done) }) }}
  </p>
  <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
  <p v-if="said" role="status" data-test="own-said">{{ said }}</p>
  <ProblemList v-if="check" :problems="check.problems" jumps @line="jump" />
</template>

<style scoped lang="scss">
.own {
  list-style: none;
  padding: 0;
}
.own li {
  padding: 0.5rem 0;
  border-bottom: 1px solid var(--line-soft);
}
.own p:not(.problem) {
  display: flex;
  flex-wrap: wrap;
  gap: 0.25rem 1rem;
  margin: 0;
}
.versions,
.begin {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 0.5rem 0;
}
.file {
  display: inline-flex;
  align-items: center;
  cursor: pointer;
}
.file:focus-within {
  outline: 3px solid var(--ink);
}
.text {
  font-size: 0.8125rem;
  font-family: monospace;
}
label {
  font-weight: 700;
}
</style>
