import { describe, expect, it } from 'vitest'
import { useAttempt } from './useAttempt'

describe('an attempt', () => {
  it('is busy until it ends, and forgets what went wrong before', async () => {
    const { problem, busy, attempt } = useAttempt()
    await attempt(() => Promise.reject(new Error('The server is away.')))
    expect([problem.value, busy.value]).toEqual(['The server is away.', false])
    let done = () => {}
    const going = attempt(() => new Promise<void>((resolve) => (done = resolve)))
    expect([problem.value, busy.value]).toEqual(['', true])
    done()
    await going
    expect(busy.value).toBe(false)
  })
})
