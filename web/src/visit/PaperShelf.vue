<script setup lang="ts">
import { ref } from 'vue'
import { answer, api, sendPaper, type Paper } from '../api/client'
import { useAttempt } from '../api/useAttempt'
import { paperPlace, usePapers } from '../api/usePapers'
import { shrunk } from './photo'
import { useRepairs } from './useDetails'
import { tell } from '../words/words'

/** The documents of a unit: a manual, a diagram, a page of one; kept with it, or with its kind of board for all that have one. */
const props = defineProps<{ unit: string; board: string | null; closed: boolean }>()
const papers = usePapers(() => props.unit)
const { data: parts } = useRepairs()
const file = ref<File>()
const title = ref('')
const part = ref('')
const page = ref<number | ''>('')
const ofBoard = ref(false)
const { attempt, busy, problem } = useAttempt()
const label = (id?: string | null) => parts.value?.find((p) => p.part === id)?.label ?? id

function chosen(event: Event) {
  file.value = (event.target as HTMLInputElement).files?.[0]
  if (file.value && !title.value) title.value = file.value.name.replace(/\.[a-z]+$/i, '')
}
async function keep() {
  const picked = file.value!
  await attempt(async () => {
    const body = picked.type.startsWith('image/') ? await shrunk(picked) : picked
    await sendPaper(props.unit, body, {
      title: title.value,
      part: part.value || undefined,
      page: typeof page.value === 'number' ? page.value : undefined,
      board: ofBoard.value,
    })
    file.value = undefined
    title.value = ''
    part.value = ''
    page.value = ''
    await papers.refetch()
  })
}
const going = ref('')
async function remove(paper: Paper) {
  if (going.value !== paper.id) {
    going.value = paper.id
    return
  }
  going.value = ''
  await attempt(async () => {
    await answer(
      api.DELETE('/api/units/{id}/papers/{paper}', { params: { path: { id: props.unit, paper: paper.id } } }),
    )
    await papers.refetch()
  })
}
</script>

<template>
  <section class="shelf" :aria-label="tell('paperShelf.documents')" data-test="papers">
    <h2 class="eyebrow">{{ tell('paperShelf.documents') }}</h2>
    <p v-if="papers.data.value?.length === 0" class="soft">{{ tell('paperShelf.none') }}</p>
    <ul v-else>
      <li v-for="p in papers.data.value ?? []" :key="p.id">
        <a :href="paperPlace(p)" target="_blank" rel="noopener" :data-test="`paper-${p.title}`"
          >{{ p.title }}<template v-if="p.page">{{ tell('paperShelf.page', { page: p.page }) }}</template></a
        >
        <span class="soft">
          {{ p.part ? tell('paperShelf.atTestsOf', { part: label(p.part) }) : '' }}
          {{ p.board ? tell('paperShelf.ofTheBoard') : '' }}
        </span>
        <button v-if="!closed" type="button" class="key quiet" @click="remove(p)">
          {{ going === p.id ? tell('paperShelf.removeForAll') : tell('paperShelf.remove') }}
        </button>
      </li>
    </ul>
    <label v-if="!closed" class="key" :class="{ quiet: file }">
      {{ file ? file.name : tell('paperShelf.add') }}
      <input
        class="visually-hidden"
        type="file"
        accept="application/pdf,image/jpeg,image/png"
        data-test="paper-file"
        @change="chosen"
      />
    </label>
    <form v-if="file && !closed" class="fields" @submit.prevent="keep">
      <label
        >{{ tell('paperShelf.title')
        }}<input v-model="title" class="form-control field" maxlength="120" required data-test="paper-title"
      /></label>
      <label
        >{{ tell('paperShelf.showAt')
        }}<select v-model="part" class="form-select field" data-test="paper-part">
          <option value="">{{ tell('paperShelf.wholeUnit') }}</option>
          <option v-for="p in parts ?? []" :key="p.part" :value="p.part">{{ p.label }}</option>
        </select></label
      >
      <label
        >{{ tell('paperShelf.pageOnly')
        }}<input
          v-model.number="page"
          type="number"
          min="1"
          inputmode="numeric"
          class="form-control field num"
          data-test="paper-page"
      /></label>
      <label v-if="board" class="tick"
        ><input v-model="ofBoard" type="checkbox" data-test="paper-board" />
        {{ tell('paperShelf.forEvery', { board }) }}</label
      >
      <div class="keys">
        <button type="submit" class="key next" :disabled="busy" data-test="paper-keep">
          {{ tell('paperShelf.keep') }}
        </button>
        <button type="button" class="key" @click="file = undefined">{{ tell('paperShelf.leave') }}</button>
      </div>
    </form>
    <p v-if="busy" role="status">{{ tell('photoStrip.keepingIt') }}</p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped lang="scss">
.shelf {
  margin-block: 0.75rem;
}
ul {
  list-style: none;
  max-width: 44rem;
  margin: 0 0 0.75rem;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 0.75rem;
  min-height: 48px;
  border-bottom: 1px solid var(--line-soft);
}
li a {
  font-weight: 700;
}
li .key {
  margin-left: auto;
}
.key:focus-within {
  outline: 3px solid var(--next);
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(15rem, 1fr));
  gap: 0.5rem 1rem;
  max-width: 44rem;
  margin-top: 0.75rem;
}
.fields label {
  display: grid;
  gap: 0.2rem;
}
.fields .tick {
  display: flex;
  align-items: center;
  gap: 0.6rem;
  min-height: 48px;
}
.tick input {
  width: 1.5rem;
  height: 1.5rem;
}
.keys {
  grid-column: 1 / -1;
  display: flex;
  gap: 0.75rem;
}
</style>
