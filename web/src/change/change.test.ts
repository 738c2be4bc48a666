import { mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import type { MoveLine } from '../api/client'
import { visitKey } from '../visit/handle'
import AsFound from './AsFound.vue'
import ConductorMap from './ConductorMap.vue'
import DifferenceList from './DifferenceList.vue'
import { fitted } from '../visit/photo'

const add = vi.fn()
const handle = { id: 'v', add, visit: ref({ twins: [] }), page: ref({ log: [] }) }
const global = { provide: { [visitKey as symbol]: handle } }
const moves: MoveLine[] = [
  { terminal: 'W', from: 'W', to: 'HT', conductor: 'brown', done: true },
  { terminal: 'Y', from: 'Y', to: null, conductor: 'yellow 7', done: false } as unknown as MoveLine,
]

describe('changing a board', () => {
  it('shows one conductor at a time, and what has no place', async () => {
    add.mockClear()
    const map = mount(ConductorMap, { props: { moves, closed: false, held: false }, global })
    expect(map.text()).toContain('1 of 2 moved.')
    expect(map.find('.now').text()).toContain('no place: cap it')
    await map.find('[data-test=moved]').trigger('click')
    expect(add).toHaveBeenCalledWith({ kind: 'MOVED', terminal: 'Y' })
  })

  it('moves nothing while something stands above', () => {
    const map = mount(ConductorMap, { props: { moves, closed: false, held: true }, global })
    expect(map.find('[data-test=moved]').exists()).toBe(false)
    expect(map.text()).toContain('Fix the problems above')
  })

  it('keeps what is on a terminal by one tap or typed', async () => {
    add.mockClear()
    const change = {
      terminals: [{ terminal: 'W', label: 'W', usual: 'white', conductor: null, entry: null }],
      plate: [
        { what: 'FUSE', label: 'Fuse', text: null },
        { what: 'NEW_PART_NUMBER', label: 'New board', text: null },
      ],
      spares: [],
      numbers: ['The new board has the number of the old one'],
    }
    const found = mount(AsFound, { props: { change: change as never, closed: false }, global })
    await found.find('[data-test=usual-W]').trigger('click')
    expect(add).toHaveBeenLastCalledWith({ kind: 'TERMINAL', terminal: 'W', conductor: 'white' })
    await found.find('button[aria-label="other than usual on W"]').trigger('click')
    await found.find('input[aria-label="What is on W"]').setValue(' brown 3 ')
    await found.find('form.typed').trigger('submit')
    expect(add).toHaveBeenLastCalledWith({ kind: 'TERMINAL', terminal: 'W', conductor: 'brown 3' })
    await found.find('#plate-FUSE').setValue('5 A')
    await found.find('#plate-FUSE').trigger('change')
    expect(add).toHaveBeenLastCalledWith({ kind: 'PLATE', what: 'FUSE', text: '5 A' })
    expect(found.find('[data-test=numbers]').text()).toContain('number of the old one')
    expect(found.find('#plate-NEW_PART_NUMBER').exists()).toBe(true)
  })

  it('asks a yes for each difference', async () => {
    add.mockClear()
    const differences = [
      { what: 'setting Off delay', says: 'Off delay: found A', position: 'B', agreed: false },
      { what: 'terminal W', says: 'W is called HT', position: null, agreed: true },
    ]
    const list = mount(DifferenceList, { props: { differences: differences as never, closed: false }, global })
    expect(list.findAll('button')).toHaveLength(1)
    expect(list.text()).toContain('Set it to B')
    await list.find('button').trigger('click')
    expect(add).toHaveBeenCalledWith({ kind: 'AGREED', what: 'setting Off delay' })
  })

  it('makes a photograph small and never larger', () => {
    expect(fitted(4200, 2800)).toEqual({ width: 1400, height: 933 })
    expect(fitted(300, 500)).toEqual({ width: 300, height: 500 })
  })
})
