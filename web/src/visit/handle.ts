import { inject, type InjectionKey } from 'vue'
import type { VisitHandle } from '../api/useVisit'

export const visitKey: InjectionKey<VisitHandle> = Symbol('visit')

/** The visit of the page this component is on. */
export function useHandle(): VisitHandle {
  const handle = inject(visitKey)
  if (!handle) throw new Error('used outside of a visit')
  return handle
}
