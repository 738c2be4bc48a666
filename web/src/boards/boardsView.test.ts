import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { json, router, serve, shown } from '../testing'
import BoardsView from './BoardsView.vue'

const row = { name: 'door-4', title: 'Board of the door', family: 'f1', version: 3 }
const at = { '/api/overlays': [row], '/api/packs': [{ id: 'f1', title: 'Gas furnace' }] }

async function page(answers: Record<string, unknown> = at) {
  const came = serve(answers)
  const made = shown(BoardsView)
  await flushPromises()
  return { made, came }
}
async function bring(made: Awaited<ReturnType<typeof page>>['made']) {
  const input = made.get<HTMLInputElement>('#bring-file')
  Object.defineProperty(input.element, 'files', { value: [new File(['board: door-5'], 'door-5.yaml')] })
  await input.trigger('change')
  await flushPromises()
}

afterEach(() => {
  vi.unstubAllGlobals()
  vi.clearAllMocks()
})

describe('the boards that were typed in', () => {
  it('stand with their family and version, and go out as YAML', async () => {
    const { made } = await page()
    expect(made.get('.rows li').text()).toContain('Gas furnace')
    expect(made.get('.rows li').text()).toContain('version 3')
    expect(made.get('.rows a[download]').attributes('href')).toBe('/api/overlays/door-4/yaml')
  })

  it('are none yet, which is not said before it is known', async () => {
    expect((await page({ ...at, '/api/overlays': [] })).made.text()).toContain('None yet.')
    const away = await page({ ...at, '/api/overlays': () => json({ detail: 'away' }, 503) })
    expect(away.made.text()).not.toContain('None yet.')
  })

  it('are typed in over a family that is chosen', async () => {
    const { made } = await page()
    expect(made.get('button[type=submit]').attributes('disabled')).toBeDefined()
    await made.get('#new-family').setValue('f1')
    await made.get('form').trigger('submit')
    expect(router.push).toHaveBeenCalledWith({ path: '/boards/new', query: { family: 'f1' } })
  })

  it('are brought as a file, and stand in the list where nothing is wrong with it', async () => {
    const { made, came } = await page({ ...at, '/api/overlays/import': { usable: true, problems: [], notes: [] } })
    await bring(made)
    expect(await came.find((request) => request.url.endsWith('/import'))!.text()).toBe('board: door-5')
    expect(made.text()).toContain('It is in the list.')
    expect(came.filter((request) => request.url.endsWith('/api/overlays'))).toHaveLength(2)
  })

  it('that have a problem say where and what to do, and are not in the list', async () => {
    const problem = { line: 4, path: 'chart/1', reason: 'there is no pattern 9 flash', remedy: 'Write 9 flashes' }
    const { made } = await page({ ...at, '/api/overlays/import': { usable: false, problems: [problem], notes: [] } })
    await bring(made)
    expect(made.get('[data-test=problems]').text()).toContain(
      'line 4 chart/1 there is no pattern 9 flash. Write 9 flashes.',
    )
    expect(made.text()).not.toContain('It is in the list.')
  })

  it('that the server will not read say why', async () => {
    const { made } = await page({
      ...at,
      '/api/overlays/import': () => json({ detail: 'The text is longer than 1 MB.' }, 413),
    })
    await bring(made)
    expect(made.get('[role=alert]').text()).toBe('The text is longer than 1 MB.')
  })
})
