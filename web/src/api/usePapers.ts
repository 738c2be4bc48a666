import { useQuery } from '@tanstack/vue-query'
import { toValue, type MaybeRefOrGetter } from 'vue'
import { answer, api, type Paper } from './client'

/** The documents of a unit and of its kind of board, one copy wherever they are shown. */
export const usePapers = (unit: MaybeRefOrGetter<string | undefined>) =>
  useQuery({
    queryKey: ['unit', () => toValue(unit), 'papers'],
    queryFn: () => answer<Paper[]>(api.GET('/api/units/{id}/papers', { params: { path: { id: toValue(unit)! } } })),
    enabled: () => Boolean(toValue(unit)),
    staleTime: 60_000,
  })

/** Where a document opens, at its page where one is meant. */
export const paperPlace = (paper: Paper) => `/api/papers/${paper.id}${paper.page ? `#page=${paper.page}` : ''}`
