<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ref, useTemplateRef, watch } from 'vue'
import { answer, api, checkPack, plain, Problem, type OwnPack, type PackCheck } from '../api/client'
import { useMe } from '../api/useMe'
import { useAttempt } from '../api/useAttempt'
import ProblemList from '../boards/ProblemList.vue'

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
  if (text.value && !confirm('This takes the place of the text that stands here.')) return
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
      ? `${found.problems.length} ${found.problems.length === 1 ? 'problem' : 'problems'}; nothing was kept.`
      : keep
        ? 'Kept as the newest version. Its units follow it from now on.'
        : 'It is sound: every fault shows and can be proven.'
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
  <h2 class="h5">Our own equipment types</h2>
  <p v-if="own.data.value?.length === 0" class="soft">
    None yet. Start from the closest type, change what is different, and check it.
  </p>
  <ul class="own">
    <li v-for="p in own.data.value" :key="p.id" :data-test="`own-${p.id}`">
      <p>
        <strong>{{ p.versions[0]?.title }}</strong> <span class="soft">{{ p.id }}</span>
        <span class="num">
          {{ p.withdrawn ? 'withdrawn' : `version ${p.used} is used` }}, {{ p.units }}
          {{ p.units === 1 ? 'unit follows it' : 'units follow it' }}
        </span>
      </p>
      <p v-if="p.unreadable" class="problem" role="alert" :data-test="`unreadable-${p.id}`">
        Version {{ p.used }} cannot be read since the application was renewed: {{ p.unreadable }}. Its units stay closed
        until an earlier version is used, or this one is corrected.
      </p>
      <div class="versions">
        <template v-for="v in p.versions" :key="v.version">
          <button type="button" class="key quiet" @click="open(p.id, v.version)">open {{ v.version }}</button>
          <button
            v-if="lead && (p.withdrawn || v.version !== p.used)"
            type="button"
            class="key quiet"
            :disabled="busy"
            @click="use(p.id, v.version)"
          >
            use {{ v.version }}
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
          withdraw
        </button>
      </div>
    </li>
  </ul>
  <div class="begin">
    <button type="button" class="key quiet" :disabled="busy || !family" data-test="begin" @click="begin">
      start from this type
    </button>
    <label class="key quiet file">
      import a file<input type="file" accept=".yaml,.yml" class="visually-hidden" @change="bring" />
    </label>
  </div>
  <label for="own-text">Text (YAML)</label>
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
    <button type="button" class="key" :disabled="busy || !text" data-test="own-check" @click="run(false)">Check</button>
    <button
      v-if="lead"
      type="button"
      class="key next"
      :disabled="busy || !text"
      data-test="own-keep"
      @click="run(true)"
    >
      Check, keep and use
    </button>
  </div>
  <p v-if="done !== null" role="status">
    Every fault is run and proven, {{ Math.round(100 * done) }}%. That takes a quarter of a minute or so.
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
