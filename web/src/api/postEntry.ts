import { answer, api, type Entry, type LogAnswer } from './client'

/** Sends an entry, signed with the login of who made it: the server takes it with that person's session alone. */
export const postEntry = (visit: string, entry: Entry, login?: string) =>
  answer<LogAnswer>(
    api.POST('/api/visits/{id}/log', {
      params: { path: { id: visit }, header: { 'X-Made-By': login } },
      body: entry,
    }),
  )
