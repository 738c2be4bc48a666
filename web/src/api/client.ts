import createClient, { type Middleware } from 'openapi-fetch'
import type { components, paths } from './schema'
import { tell } from '../words/words'

type Schemas = components['schemas']
export type Visit = Schemas['VisitView']
export type Job = Schemas['JobView']
export type Page = Schemas['CasePage']
export type Unit = Schemas['UnitPage']
export type LogAnswer = Schemas['LogAnswer']
export type TestView = Schemas['TestPage']
export type Licence = Schemas['LicenceView']
export type TestLine = Schemas['TestLine']
export type LookLine = Schemas['LookLine']
export type LogLine = Schemas['LogLine']
export type Suspect = Schemas['Suspect']
export type Diagram = Schemas['TimingDiagram']
export type RungStep = Schemas['RungStep']
export type Drawing = Schemas['DrawingPage']
export type Connection = Schemas['ConnectionPage']
export type ConnectionPlace = Schemas['Place']
export type DrawingSpot = Schemas['DrawnPlace']
export type StopPage = Schemas['StopPage']
export type ChangeLine = Schemas['ChangeLine']
export type Person = Schemas['PersonView']
export type Verdict = Schemas['VerdictPage']
export type Way = Schemas['Way']
export type Tap = Schemas['Tap']
export type Entry = Schemas['NewEntry']
/** Each kind of entry without what the outbox adds. */
export type NewEntry = Entry extends infer E ? (E extends unknown ? Omit<E, 'id' | 'madeAt'> : never) : never
/** When something was so that is not so now. */
export type When = NonNullable<Schemas['NewAnswer']['when']>
export type Site = Schemas['SiteView']
export type Outcome = Schemas['Close']['outcome']
export type LampReading = Schemas['LampPage']
export type NewTrace = Schemas['NewTrace']
export type Chain = Schemas['ChainPage']
export type Cable = Schemas['CablePage']
export type History = Schemas['HistoryView']
export type Paper = Schemas['PaperView']
export type MenuScreen = Schemas['MenuScreen']
export type MenuStep = Schemas['Step']
export type Proving = Schemas['ProvingPage']
export type SettingUp = Schemas['CommissioningPage']
export type Report = Schemas['ReportPage']
export type ChangeOut = Schemas['ChangeOutPage']
export type MoveLine = Schemas['MoveLine']
export type TerminalLine = Schemas['TerminalLine']
export type Photo = Schemas['PhotoView']
export type WayOut = Schemas['WayOutPage']
export type WayLine = Schemas['WayLine']
export type Quote = Schemas['QuoteView']
export type OtherUnit = Schemas['OtherUnit']
export type WantedElsewhere = Schemas['Wanted']
export type Setting = Schemas['SettingPage']
export type Repair = Schemas['Repair']
export type Identified = Schemas['IdentifyView']
export type Family = Schemas['FamilyView']
export type FaultProof = Schemas['FaultProof']
export type TestGroup = Schemas['TestGroup']
export type OwnPack = Schemas['OwnPackRow']
export type PackCheck = Schemas['PackCheck']
export type Draft = Schemas['OverlayDraft']
export type BoardRow = Schemas['OverlayRow']
export type BoardView = Schemas['OverlayView']
export type BoardCheck = Schemas['OverlayCheck']
export type SiteUnit = Schemas['SiteUnitView']

/** What the server says when it refuses; status 0 means that it was not reached. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly field = '',
    /** Share of the work that is done where something is being made ready, 0 to 1. */
    readonly progress?: number,
    /** What is read to a caller whose words tell of danger, and whom they call. */
    readonly caller: string[] = [],
    readonly call: string[] = [],
  ) {
    super(message)
  }

  /** Whatever failed, as a problem. */
  static of(failure: unknown): Problem {
    return failure instanceof Problem ? failure : new Problem(0, String(failure))
  }

  /** True when the same thing may go through later, unchanged: no network, too many at once, or the server is in trouble. */
  get passing(): boolean {
    return this.status === 0 || this.status === 429 || this.status >= 500
  }
}

function cookie(name: string): string {
  return (
    document.cookie
      .split('; ')
      .find((c) => c.startsWith(`${name}=`))
      ?.slice(name.length + 1) ?? ''
  )
}

const csrf: Middleware = {
  onRequest({ request }) {
    request.headers.set('X-XSRF-TOKEN', cookie('XSRF-TOKEN'))
    return request
  },
}

export const api = createClient<paths>({ baseUrl: '', fetch: (request) => fetch(request) })
api.use(csrf)

/** The answer of a call, or a Problem. */
export async function answer<T>(call: Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
  let result
  try {
    result = await call
  } catch {
    throw new Problem(0, tell('client.theServerCannotBeReached'))
  }
  if (!result.response.ok) {
    const problem = result.error as
      { detail?: string; field?: string; progress?: number; caller?: string[]; call?: string[] } | undefined
    throw new Problem(
      result.response.status,
      problem?.detail ?? tell('client.theServerCouldNotDo'),
      problem?.field,
      problem?.progress,
      problem?.caller,
      problem?.call,
    )
  }
  return result.data as T
}

/** Sends a text or a file as it is. */
async function send<T>(path: string, type: string, body: string | Blob, method = 'POST'): Promise<T> {
  return answer<T>(
    fetch(path, {
      method,
      headers: { 'Content-Type': type, 'X-XSRF-TOKEN': cookie('XSRF-TOKEN') },
      body,
    }).then(async (response) => {
      const got: unknown = await response.json().catch(() => undefined)
      return response.ok ? { data: got as T, response } : { error: got, response }
    }),
  )
}

/** Keeps a photograph under an id of its own: sent again it is the same one. */
export async function sendPhoto(visit: string, label: string, photo: Blob): Promise<Photo> {
  const id = crypto.randomUUID()
  const type = photo.type === 'image/png' || photo.type === 'image/jpeg' ? photo.type : 'application/octet-stream'
  return send(`/api/visits/${visit}/photos/${id}?label=${encodeURIComponent(label)}`, type, photo, 'PUT')
}

/** Keeps a document with a unit, or with its kind of board; told by its content, whatever it is called. */
export async function sendPaper(
  unit: string,
  file: Blob,
  about: { title: string; part?: string; page?: number; board: boolean },
): Promise<Paper> {
  const query = new URLSearchParams({ title: about.title, board: String(about.board) })
  if (about.part) query.set('part', about.part)
  if (about.page) query.set('page', String(about.page))
  return send(`/api/units/${unit}/papers/${crypto.randomUUID()}?${query}`, 'application/octet-stream', file, 'PUT')
}

/** Sends a CSV file of a lamp's brightness to be read. */
export async function sendCsv(file: File): Promise<Schemas['CsvView']> {
  return send('/api/lamp/csv', 'text/csv', file)
}

/** Sends a board's YAML text, as it was exported somewhere else. */
export async function importBoard(yaml: string): Promise<BoardCheck> {
  return send('/api/overlays/import', 'text/plain', yaml)
}

/** Has a pack's text checked, which takes some seconds, and kept if nothing is wrong with it. */
export async function checkPack(yaml: string, keep: boolean): Promise<PackCheck> {
  return send(keep ? '/api/own-packs' : '/api/packs/check', 'text/plain', yaml)
}

/** A text of the server as it is. */
export async function plain(path: string): Promise<string> {
  const got = await fetch(path)
  if (!got.ok) throw new Problem(got.status, tell('client.theTextDidNotCome'))
  return got.text()
}

/** Logs in with a form, as the server's security expects. */
export async function logIn(username: string, password: string): Promise<void> {
  await fetch('/api/me').catch(() => undefined)
  let response
  try {
    response = await fetch('/api/login', {
      method: 'POST',
      headers: { 'X-XSRF-TOKEN': cookie('XSRF-TOKEN') },
      body: new URLSearchParams({ username, password }),
    })
  } catch {
    throw new Problem(0, tell('client.theServerCannotBeReached2'))
  }
  if (!response.ok) {
    const problem = (await response.json().catch(() => ({}))) as { detail?: string }
    throw new Problem(response.status, problem.detail ?? tell('client.loggingInDidNotWork'))
  }
}

export async function logOut(): Promise<void> {
  await fetch('/api/logout', { method: 'POST', headers: { 'X-XSRF-TOKEN': cookie('XSRF-TOKEN') } })
}
