import { useQuery } from '@tanstack/vue-query'
import { answer, api } from './client'

/** The equipment types that there are. */
export const usePacks = () => useQuery({ queryKey: ['packs'], queryFn: () => answer(api.GET('/api/packs')) })

/** The title of an equipment type by its id; the id until it is known, and of one that is gone. */
export function useTitles() {
  const packs = usePacks()
  return (id: string) => packs.data.value?.find((p) => p.id === id)?.title ?? id
}
