import { useQuery } from '@tanstack/vue-query'
import { answer, api } from '../api/client'
import { told } from '../api/useTrouble'
import type { components } from '../api/schema'

/** A calculation of setting up with what it asks for. */
export const useCalculator = (id: () => string, meta?: typeof told) =>
  useQuery({
    queryKey: ['calculator', id],
    queryFn: () =>
      answer<components['schemas']['CalculatorView']>(
        api.GET('/api/tools/calculators/{id}', { params: { path: { id: id() } } }),
      ),
    enabled: () => id() !== '',
    retry: false,
    meta,
  })
