import 'fake-indexeddb/auto'
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h, ref } from 'vue'
import { Problem, type Entry, type NewEntry } from './client'
import { outboxStore, type Kept } from './outboxStore'
import { useOutbox } from './useOutbox'

const reading: NewEntry = { kind: 'READING', test: 't', reading: '27' }
let visit = 0

function mounted(
  send: (entry: Entry, login?: string) => Promise<void>,
  renew = async () => undefined as void,
  id = `v${++visit}`,
  who: () => string | undefined = () => undefined,
) {
  let outbox: ReturnType<typeof useOutbox> | undefined
  const page = mount(
    defineComponent({
      setup() {
        outbox = useOutbox(id, send, renew, undefined, who)
        return () => h('p')
      },
    }),
  )
  return { outbox: outbox!, page, id }
}
const inStore = (id: string): Promise<Kept[]> => outboxStore().of(id)
const settled = async () => {
  for (let i = 0; i < 20; i++) await flushPromises()
}

describe('outbox', () => {
  let sent: Entry[]
  let answers: (Problem | null)[]
  const send = async (entry: Entry) => {
    sent.push(entry)
    const answer = answers.length ? answers.shift()! : null
    if (answer) throw answer
  }

  beforeEach(() => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval'] })
    sent = []
    answers = []
  })
  afterEach(() => vi.useRealTimers())

  it('forgets an entry only when the server has it', async () => {
    const { outbox, id } = mounted(send)
    expect(await outbox.add(reading)).toBe(true)
    expect(outbox.waiting.value).toEqual([])
    expect(await inStore(id)).toEqual([])
  })

  it.each([0, 429, 500, 502, 503])('keeps an entry at status %i and sends the same one again', async (status) => {
    const { outbox, id } = mounted(send)
    answers = [new Problem(status, 'later')]
    expect(await outbox.add(reading)).toBe(false)
    expect(outbox.waiting.value).toHaveLength(1)
    expect(outbox.refused.value).toEqual([])
    expect(await inStore(id)).toHaveLength(1)
    await vi.advanceTimersByTimeAsync(3500)
    await settled()
    expect(outbox.waiting.value).toEqual([])
    expect(sent.map((e) => e.id)).toEqual([sent[0]!.id, sent[0]!.id])
  })

  it.each([400, 404, 409, 413, 422])('keeps an entry that is refused with %i, with the reason', async (status) => {
    const { outbox, id } = mounted(send)
    answers = [new Problem(status, 'this is why', 'reading')]
    expect(await outbox.add(reading)).toBe(false)
    expect(outbox.waiting.value).toEqual([])
    expect(outbox.refused.value[0]!.refused).toEqual({ message: 'this is why', field: 'reading', status })
    expect(await inStore(id)).toHaveLength(1)
    await vi.advanceTimersByTimeAsync(10_000)
    await settled()
    expect(sent, 'not sent again by itself').toHaveLength(1)
  })

  it('sends what comes after a refused entry', async () => {
    const { outbox } = mounted(send)
    answers = [new Problem(422, 'no')]
    await outbox.add(reading)
    expect(await outbox.add({ kind: 'NOTE', text: 'hello' })).toBe(true)
    expect(outbox.refused.value).toHaveLength(1)
  })

  it('waits for the login at 401, loses nothing meanwhile, and goes on in order', async () => {
    const { outbox, id } = mounted(send)
    answers = [new Problem(401, 'not logged in')]
    await outbox.add({ kind: 'NOTE', text: 'one' })
    expect(outbox.loginNeeded.value).toBe(true)
    answers = [new Problem(401, 'not logged in')]
    await outbox.add({ kind: 'NOTE', text: 'two' })
    expect(await inStore(id)).toHaveLength(2)
    const before = sent.length
    await vi.advanceTimersByTimeAsync(10_000)
    await settled()
    expect(sent, 'nobody asks while the login is open').toHaveLength(before)
    expect(await outbox.resume()).toBe(true)
    expect(outbox.loginNeeded.value).toBe(false)
    expect(sent.slice(before).map((e) => (e as { text: string }).text)).toEqual(['one', 'two'])
  })

  it('makes the token new at 403 and sends once more', async () => {
    let renewed = 0
    const { outbox } = mounted(send, async () => void renewed++)
    answers = [new Problem(403, 'the page is old')]
    expect(await outbox.add(reading)).toBe(true)
    expect(renewed).toBe(1)
  })

  it('keeps an entry that is forbidden for good', async () => {
    const { outbox } = mounted(send)
    answers = [new Problem(403, 'no'), new Problem(403, 'not yours')]
    await outbox.add(reading)
    expect(outbox.refused.value[0]!.refused!.message).toBe('not yours')
  })

  it('sends a corrected entry in place of the refused one', async () => {
    const { outbox, id } = mounted(send)
    answers = [new Problem(422, 'no')]
    await outbox.add({ ...reading, reading: '99999' } as NewEntry)
    expect(await outbox.correct(outbox.refused.value[0]!.id, { reading: '27' })).toBe(true)
    expect((sent[1] as { reading: string }).reading).toBe('27')
    expect(await inStore(id)).toEqual([])
  })

  it('takes another reading of the same test for the correction of the refused one', async () => {
    const { outbox } = mounted(send)
    answers = [new Problem(422, 'no')]
    await outbox.add({ ...reading, reading: '99999' } as NewEntry)
    expect(await outbox.add(reading)).toBe(true)
    expect(outbox.refused.value).toEqual([])
    expect(sent).toHaveLength(2)
  })

  it('discards only what a person discards', async () => {
    const { outbox, id } = mounted(send)
    answers = [new Problem(409, 'closed')]
    await outbox.add(reading)
    await outbox.discard(outbox.refused.value[0]!.id)
    expect(await inStore(id)).toEqual([])
  })

  it('goes on after a reload with what was kept', async () => {
    const first = mounted(send)
    answers = [new Problem(0, 'no network')]
    await first.outbox.add(reading)
    first.page.unmount()
    const second = mounted(send, undefined, first.id)
    await settled()
    expect(second.outbox.waiting.value).toHaveLength(1)
    expect(await second.outbox.flush()).toBe(true)
  })

  it('takes over what an earlier version left in local storage, as refused', async () => {
    localStorage.setItem('brick-outbox-old', JSON.stringify([{ id: 'a', kind: 'EVENT', channel: 'flame' }]))
    const { outbox } = mounted(send, undefined, 'old')
    await settled()
    expect(outbox.refused.value[0]!.entry).toMatchObject({ kind: 'EVENT', channel: 'flame' })
    expect(localStorage.getItem('brick-outbox-old')).toBeNull()
  })

  it('signs what it sends with who made it, and sends nothing of theirs for somebody else', async () => {
    const signed: (string | undefined)[] = []
    const now = ref<string | undefined>('ines')
    const { outbox } = mounted(
      async (_, login) => {
        signed.push(login)
        throw new Problem(503, 'later')
      },
      undefined,
      undefined,
      () => now.value,
    )
    await outbox.add(reading)
    now.value = undefined
    await outbox.flush()
    expect(signed.length).toBeGreaterThan(1)
    expect(new Set(signed), 'also while nobody is known to be logged in').toEqual(new Set(['ines']))
    const before = signed.length
    now.value = 'tobin'
    await outbox.flush()
    expect(signed).toHaveLength(before)
  })

  it('sends one at a time whoever asks', async () => {
    let open = 0
    let most = 0
    const { outbox } = mounted(async () => {
      most = Math.max(most, ++open)
      await Promise.resolve()
      open--
    })
    await Promise.all([outbox.add(reading), outbox.add({ kind: 'NOTE', text: 'x' }), outbox.flush()])
    await outbox.flush()
    expect(most).toBe(1)
    expect(outbox.waiting.value).toEqual([])
  })
})
