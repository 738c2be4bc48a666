import { useQuery } from '@tanstack/vue-query'
import { answer, api, type Photo } from './client'

/** The photographs of a visit, one copy wherever they are shown. */
export const usePhotos = (visit: string) =>
  useQuery({
    queryKey: ['visit', visit, 'photos'],
    queryFn: () => answer<Photo[]>(api.GET('/api/visits/{id}/photos', { params: { path: { id: visit } } })),
  })
