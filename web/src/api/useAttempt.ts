import { ref } from 'vue'

/** Something that a person asks for and that may not work: busy meanwhile, and the reason on the screen if it did not. */
export function useAttempt() {
  const problem = ref('')
  const busy = ref(false)

  async function attempt(what: () => Promise<unknown>) {
    problem.value = ''
    busy.value = true
    try {
      await what()
    } catch (failure) {
      problem.value = (failure as Error).message
    } finally {
      busy.value = false
    }
  }
  return { problem, busy, attempt }
}
