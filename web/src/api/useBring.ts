import { useQuery } from '@tanstack/vue-query'
import { answer, api } from './client'
import type { components } from './schema'

const HALF_AN_HOUR = 1_800_000

/** What to take to a job, with its chance; nothing where nothing stands out or it is not known yet. */
export const useBring = (visit: string) =>
  useQuery({
    queryKey: ['bring', visit],
    queryFn: () =>
      answer<components['schemas']['Bring'][]>(api.GET('/api/visits/{id}/bring', { params: { path: { id: visit } } })),
    staleTime: HALF_AN_HOUR,
  })
