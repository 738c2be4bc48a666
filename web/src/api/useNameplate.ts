import { useQuery } from '@tanstack/vue-query'
import { toValue, type MaybeRefOrGetter } from 'vue'
import { answer, api } from './client'
import type { components } from './schema'

/** What stands on the nameplate of a unit; asked for once the unit is known. */
export const useNameplate = (unit: MaybeRefOrGetter<string | undefined>) =>
  useQuery({
    queryKey: ['unit', () => toValue(unit), 'nameplate'],
    queryFn: () =>
      answer<components['schemas']['NameplateView']>(
        api.GET('/api/units/{id}/nameplate', { params: { path: { id: toValue(unit)! } } }),
      ),
    enabled: () => Boolean(toValue(unit)),
  })
