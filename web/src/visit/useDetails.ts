import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { computed, type Ref } from 'vue'
import {
  answer,
  api,
  type Cable,
  type Chain,
  type ChangeLine,
  type Connection,
  type Drawing,
  type History,
  type MenuScreen,
  type MenuStep,
  type OtherUnit,
  type Proving,
  type Repair,
  type Setting,
  type SettingUp,
  type LookLine,
  type TestLine,
  type TestView,
  type Quote,
  type Way,
  type WayOut,
} from '../api/client'
import { useHandle } from './handle'

/** Something of a case that is fetched when somebody looks at it, and anew after each entry. */
function useDetail<T>(name: string, fetched: (id: string) => Promise<T>) {
  const { id, page } = useHandle()
  return useQuery({
    queryKey: computed(() => ['visit', id, name, page.value?.entries]),
    queryFn: () => fetched(id),
    placeholderData: keepPreviousData,
  })
}

export const useChains = () =>
  useDetail('chains', (id) => answer<Chain[]>(api.GET('/api/visits/{id}/chains', { params: { path: { id } } })))

export const useChecksBefore = () =>
  useDetail('before', (id) => answer<LookLine[]>(api.GET('/api/visits/{id}/before', { params: { path: { id } } })))

/** What the complaint says of what was noticed. */
export function useUnderstood() {
  const { visit } = useHandle()
  const asked = computed(() => ({ unit: visit.value!.unitId, complaint: visit.value!.job.complaint }))
  return useQuery({
    queryKey: ['statements', asked],
    queryFn: () =>
      answer<{ understood: { test: string; yes: boolean; label: string }[] }>(
        api.GET('/api/units/{id}/statements', {
          params: { path: { id: asked.value.unit }, query: { complaint: asked.value.complaint } },
        }),
      ),
  })
}

export const useQuestions = () =>
  useDetail('questions', (id) =>
    answer<TestLine[]>(api.GET('/api/visits/{id}/questions', { params: { path: { id } } })),
  )

/** The temporary changes that the circuit allows. */
export const useChanges = () =>
  useDetail('changes', (id) => answer<ChangeLine[]>(api.GET('/api/visits/{id}/changes', { params: { path: { id } } })))

export const useCables = () =>
  useDetail('cables', (id) => answer<Cable[]>(api.GET('/api/visits/{id}/cables', { params: { path: { id } } })))

export const useSettings = () =>
  useDetail('settings', (id) => answer<Setting[]>(api.GET('/api/visits/{id}/settings', { params: { path: { id } } })))

export const useCommissioning = () =>
  useDetail('commissioning', (id) =>
    answer<SettingUp>(api.GET('/api/visits/{id}/commissioning', { params: { path: { id } } })),
  )

export const useMenu = () =>
  useDetail('menu', (id) => answer<MenuScreen[]>(api.GET('/api/visits/{id}/menu', { params: { path: { id } } })))

/** What is pressed between two positions of a setting, once both are chosen. */
export function useSteps(asked: Ref<{ setting: string; from: string; to: string } | undefined>) {
  const { id } = useHandle()
  return useQuery({
    queryKey: computed(() => ['visit', id, 'steps', asked.value]),
    queryFn: () =>
      answer<MenuStep[]>(
        api.GET('/api/visits/{id}/settings/{setting}/steps', {
          params: {
            path: { id, setting: asked.value!.setting },
            query: { from: asked.value!.from, to: asked.value!.to },
          },
        }),
      ),
    enabled: computed(() => asked.value !== undefined),
  })
}

export const useHistory = () =>
  useDetail('history', (id) => answer<History>(api.GET('/api/visits/{id}/history', { params: { path: { id } } })))

export const useProving = () =>
  useDetail('proving', (id) => answer<Proving>(api.GET('/api/visits/{id}/proving', { params: { path: { id } } })))

export const useWaysOut = () =>
  useDetail('ways', (id) => answer<WayOut>(api.GET('/api/visits/{id}/ways', { params: { path: { id } } })))

export const useQuotes = () =>
  useDetail('quotes', (id) => answer<Quote[]>(api.GET('/api/visits/{id}/quotes', { params: { path: { id } } })))

export const useOtherUnits = () =>
  useDetail('other-units', (id) =>
    answer<OtherUnit[]>(api.GET('/api/visits/{id}/other-units', { params: { path: { id } } })),
  )

export const useRepairs = () =>
  useDetail('repairs', (id) => answer<Repair[]>(api.GET('/api/visits/{id}/repairs', { params: { path: { id } } })))

export const useConnections = () =>
  useDetail('connections', (id) =>
    answer<Connection[]>(api.GET('/api/visits/{id}/connections', { params: { path: { id } } })),
  )

/** The ladder diagram at a moment; at that of the next test where none is chosen. */
export function useDrawing(moment: Ref<string>) {
  const { id, page } = useHandle()
  return useQuery({
    queryKey: computed(() => ['visit', id, 'drawing', moment.value, page.value?.entries]),
    queryFn: () =>
      answer<Drawing>(
        api.GET('/api/visits/{id}/drawing', {
          params: { path: { id }, query: { moment: moment.value || undefined } },
        }),
      ),
    placeholderData: (before) => before,
  })
}

/** The plan, once somebody asks why. */
export function usePlan(asked: Ref<boolean>) {
  const { id, page } = useHandle()
  return useQuery({
    queryKey: computed(() => ['visit', id, 'plan', page.value?.entries]),
    queryFn: () => answer<Way[]>(api.GET('/api/visits/{id}/plan', { params: { path: { id } } })),
    enabled: asked,
  })
}

/** A test that somebody chose; nothing while none is chosen. */
export function useTest(test: Ref<string>) {
  const { id, page } = useHandle()
  return useQuery({
    queryKey: computed(() => ['visit', id, 'test', test.value, page.value?.entries]),
    queryFn: () =>
      answer<TestView>(api.GET('/api/visits/{id}/tests/{test}', { params: { path: { id, test: test.value } } })),
    enabled: computed(() => test.value !== ''),
  })
}
