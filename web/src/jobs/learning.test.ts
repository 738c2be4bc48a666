import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import type { Component } from 'vue'
import { json, serve, shown } from '../testing'
import LearningView from './LearningView.vue'
import ShareMove from './ShareMove.vue'
import ShopTest from './ShopTest.vue'

const igniter = { part: 'igniter', label: 'igniter', before: 0.1, confirmed: 9, after: 0.2 }
const board = { part: 'board', label: 'control board', before: 0.08, confirmed: 0, after: 0.05 }
const family = { family: 'f1', title: 'Furnace', confirmed: 9, parts: [igniter, board] }
const ageing = { before: 9, after: 8.2, faults: 3, unitYears: 12.5 }
const sent: { method: string; path: string; body: string }[] = []

async function page(view: Component, answers: (path: string) => Response, props = {}) {
  serve(async (request) => {
    const path = new URL(request.url).pathname
    sent.push({ method: request.method, path, body: await request.clone().text() })
    return answers(path)
  })
  const made = shown(view, { props })
  await flushPromises()
  return made
}

afterEach(() => {
  vi.unstubAllGlobals()
  sent.length = 0
})

describe('own records', () => {
  it('draws each share where the pack has it and where the records put it, the largest as the whole width', () => {
    const rows = mount(ShareMove, { props: { parts: [igniter, board] } }).findAll('tbody tr')
    const marks = rows[0]!.findAll('.mark').map((mark) => mark.attributes('style'))
    expect(marks).toEqual(['left: 50%;', 'left: 100%;'])
    expect(rows[0]!.find('.way').attributes('style')).toContain('left: 50%; width: 50%')
    expect(rows[0]!.text()).toContain('10.0% to 20.0%')
    expect(rows[1]!.find('.way').attributes('style')).toContain('left: 25%')
  })

  it('tells visits to come what is confirmed, and goes back to the packs', async () => {
    const versions = [{ number: 3, madeAt: '2026-11-02T10:00:00Z', confirmed: 9 }]
    let inUse: number | null = null
    const made = await page(LearningView, () => json({ inUse, versions, families: [family], ageing }))
    expect(made.text()).toContain('Using book rates only')
    expect(made.find('[data-test=packs-alone]').exists()).toBe(false)
    inUse = 3
    await made.find('[data-test=learn]').trigger('click')
    await flushPromises()
    expect(sent.map((one) => one.method)).toContain('POST')
    expect(made.text()).toContain('version 3')
    inUse = null
    await made.find('[data-test=packs-alone]').trigger('click')
    await flushPromises()
    expect(made.text()).toContain('Using book rates only')
    expect(made.find('[data-test=ageing]').text()).toMatch(/3 faults in 12.5 unit years.*8.2 years, not\s+9.0/s)
    expect(made.text()).toContain('Use it again')
  })

  it('says what to do where nothing is confirmed, and why it is refused', async () => {
    const made = await page(LearningView, () =>
      json({ inUse: null, versions: [], families: [], ageing: { ...ageing, faults: 0 } }),
    )
    expect(made.text()).toContain('No visit counts yet')
    expect(made.find('[data-test=learn]').attributes('disabled')).toBeDefined()
    const refused = await page(LearningView, () => json({ detail: 'The lead alone sees this.' }, 403))
    expect(refused.text()).toContain('The lead alone sees this.')
  })

  it('keeps what the shop found, and lets it be said otherwise', async () => {
    const made = await page(ShopTest, () => new Response(null, { status: 204 }), { visit: 'v1' })
    await made.findAll('button')[1]!.trigger('click')
    await flushPromises()
    expect(sent[0]).toMatchObject({ method: 'PUT', path: '/api/visits/v1/shop-test', body: '{"found":"SOUND"}' })
    expect(made.emitted('kept')).toHaveLength(1)
    await made.setProps({ found: 'SOUND' })
    expect(made.text()).toContain('bench-tested good')
    expect(made.findAll('button')).toHaveLength(1)
    const refused = await page(ShopTest, () => json({ detail: 'No board was changed.' }, 409), { visit: 'v2' })
    await refused.findAll('button')[0]!.trigger('click')
    await flushPromises()
    expect(refused.text()).toContain('No board was changed.')
  })
})
