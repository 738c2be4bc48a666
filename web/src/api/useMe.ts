import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { answer, api } from './client'

/** Who is logged in; asked once for all that shows it. */
export function useMe() {
  const me = useQuery({
    queryKey: ['me'],
    queryFn: () => answer(api.GET('/api/me')),
    retry: false,
    staleTime: 60_000,
  })
  return {
    me,
    lead: computed(() => me.data.value?.role === 'LEAD'),
    /** Where the company's day begins and ends. */
    zone: computed(() => me.data.value?.timeZone),
  }
}
