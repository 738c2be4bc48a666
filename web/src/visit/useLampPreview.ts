import { ref } from 'vue'
import { answer, api, Problem, type LampReading, type NewTrace } from '../api/client'

/** A recorded lamp that is looked at before it is kept. */
export function useLampPreview(visit: string) {
  const trace = ref<NewTrace | null>(null)
  const reading = ref<LampReading | null>(null)
  const notes = ref<string[]>([])
  const problem = ref<string | null>(null)

  async function look(board: string, recorded: NewTrace, said: string[] = []) {
    problem.value = null
    reading.value = null
    trace.value = recorded
    try {
      const entry = {
        id: crypto.randomUUID(),
        madeAt: Date.now(),
        kind: 'FILM' as const,
        board,
        trace: recorded,
      }
      const read = await answer<LampReading>(
        api.POST('/api/visits/{id}/lamp', { params: { path: { id: visit } }, body: entry }),
      )
      reading.value = read
      notes.value = [...said, ...read.notes]
    } catch (failure) {
      problem.value = failure instanceof Problem ? failure.message : String(failure)
    }
  }
  function drop() {
    trace.value = null
    reading.value = null
    problem.value = null
    notes.value = []
  }
  return { trace, reading, notes, problem, look, drop }
}
