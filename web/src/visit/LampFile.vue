<script setup lang="ts">
import { ref } from 'vue'
import { useRoute } from 'vue-router'
import { sendCsv, Problem } from '../api/client'
import { useHandle } from './handle'
import LampTrace from './LampTrace.vue'
import { useLampPreview } from './useLampPreview'
import { tell } from '../words/words'

const props = defineProps<{ board: string }>()
const { add } = useHandle()
const preview = useLampPreview(String(useRoute().params.id))
const problem = ref('')
const busy = ref(false)

async function read(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  problem.value = ''
  busy.value = true
  try {
    const csv = await sendCsv(file)
    await preview.look(props.board, { ...csv.trace, around: csv.trace.around ?? undefined }, csv.notes)
  } catch (failure) {
    problem.value = failure instanceof Problem ? failure.message : String(failure)
  } finally {
    busy.value = false
  }
}
async function keep() {
  if (await add({ kind: 'FILM', board: props.board, trace: preview.trace.value! })) preview.drop()
}
</script>

<template>
  <section :aria-label="tell('lampFile.lampFromAFile')">
    <LampTrace
      v-if="preview.reading.value && preview.trace.value"
      :trace="preview.trace.value"
      :reading="preview.reading.value"
      :notes="preview.notes.value"
      @keep="keep"
      @drop="preview.drop()"
    />
    <template v-else>
      <label for="lamp-file">{{ tell('lampFile.aCsvFileWithThe') }} <span class="num">seconds,brightness</span></label>
      <input id="lamp-file" type="file" accept=".csv,text/csv" class="form-control field" @change="read" />
      <p v-if="busy" class="soft" role="status">{{ tell('lampFile.readingTheFile') }}</p>
      <p v-if="problem || preview.problem.value" class="problem" role="alert">{{ problem || preview.problem.value }}</p>
    </template>
  </section>
</template>
