import { useQuery } from '@tanstack/vue-query'
import { answer, api, type Licence } from './client'

/** The licences there are, which of them this person has today, and whom to call for the others. */
export const useLicences = () =>
  useQuery({
    queryKey: ['licences'],
    queryFn: () => answer<Licence[]>(api.GET('/api/licences')),
    staleTime: 60_000,
  })
