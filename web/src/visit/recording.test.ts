import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope } from 'vue'
import * as client from '../api/client'
import { useCallClock } from './useCallClock'
import { useLampPreview } from './useLampPreview'

vi.mock('../api/client', async (original) => ({
  ...(await original<typeof client>()),
  api: { POST: vi.fn() },
  answer: vi.fn(),
}))

const trace = { seconds: [0, 0.1], levels: [0, 1] } as never

describe('a recorded lamp', () => {
  it('is looked at before it is kept, with what the camera said and what was read', async () => {
    vi.mocked(client.answer).mockResolvedValueOnce({ notes: ['short'], patterns: [] })
    const { reading, notes, problem, look, drop } = useLampPreview('v1')
    await look('furnace', trace, ['dark'])
    expect(reading.value).toMatchObject({ notes: ['short'] })
    expect(notes.value).toEqual(['dark', 'short'])
    expect(problem.value).toBeNull()
    expect(vi.mocked(client.api.POST).mock.calls[0]?.[1]).toMatchObject({
      params: { path: { id: 'v1' } },
      body: { kind: 'FILM', board: 'furnace', trace },
    })
    drop()
    expect([reading.value, notes.value]).toEqual([null, []])
  })

  it('keeps the recording where it could not be read, and says why', async () => {
    vi.mocked(client.answer).mockRejectedValueOnce(new client.Problem(503, 'Try again.'))
    const { trace: kept, reading, problem, look } = useLampPreview('v1')
    await look('furnace', trace)
    expect(kept.value).toEqual(trace)
    expect(reading.value).toBeNull()
    expect(problem.value).toBe('Try again.')
  })
})

describe('the clock of the call', () => {
  beforeEach(() => vi.useFakeTimers({ now: 1_800_000_000_000 }))
  afterEach(() => {
    vi.useRealTimers()
    localStorage.clear()
  })

  it('counts from when the call is placed and stands still before', async () => {
    const scope = effectScope()
    await scope.run(async () => {
      const clock = useCallClock('v1')
      expect(clock.seconds.value).toBeNull()
      clock.place()
      expect(clock.seconds.value).toBe(0)
      await vi.advanceTimersByTimeAsync(12_000)
      expect(clock.seconds.value).toBe(12)
      clock.end()
      expect(clock.seconds.value).toBeNull()
    })
    scope.stop()
  })

  it('goes on after a reload, each visit with its own', async () => {
    const first = effectScope()
    first.run(() => useCallClock('v1').place())
    await vi.advanceTimersByTimeAsync(500)
    first.stop()
    const second = effectScope()
    second.run(() => {
      expect(useCallClock('v1').seconds.value).toBeCloseTo(0.5)
      expect(useCallClock('v2').seconds.value).toBeNull()
    })
    second.stop()
  })
})
