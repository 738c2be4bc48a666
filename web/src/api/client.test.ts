import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { answer, api, importBoard, logIn, Problem, sendCsv } from './client'

const sent: { url: string; init: RequestInit | undefined; request: Request | null }[] = []
let reply: (url: string) => Response | Promise<Response>

beforeEach(() => {
  sent.length = 0
  document.cookie = 'XSRF-TOKEN=token-7'
  vi.stubGlobal(
    'fetch',
    vi.fn((to: string | Request, init?: RequestInit) => {
      const url = typeof to === 'string' ? to : to.url
      sent.push({ url, init, request: typeof to === 'string' ? null : to })
      return Promise.resolve(reply(url))
    }),
  )
})
afterEach(() => vi.unstubAllGlobals())

const json = (status: number, body: unknown) =>
  new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } })

describe('a problem', () => {
  it.each([
    [0, true],
    [429, true],
    [500, true],
    [503, true],
    [401, false],
    [409, false],
    [422, false],
  ])('of status %i passes by itself: %s', (status, passing) => {
    expect(new Problem(status, 'x').passing).toBe(passing)
  })
})

describe('an answer', () => {
  const refused = (status: number, error: unknown) => answer(Promise.resolve({ error, response: json(status, {}) }))

  it('is its data where all went well', async () => {
    await expect(answer(Promise.resolve({ data: 7, response: json(200, {}) }))).resolves.toBe(7)
  })

  it('tells what the server said, which field, and how far a unit is made ready', async () => {
    await expect(refused(422, { detail: 'Too high.', field: 'value' })).rejects.toMatchObject({
      status: 422,
      message: 'Too high.',
      field: 'value',
    })
    await expect(refused(503, { detail: 'Being made ready.', progress: 0.4 })).rejects.toMatchObject({ progress: 0.4 })
  })

  it('says something where the server says nothing', async () => {
    await expect(refused(502, undefined)).rejects.toMatchObject({
      status: 502,
      message: 'The server could not do this.',
    })
  })

  it('says that nothing is lost where the server is not reached', async () => {
    await expect(answer(Promise.reject(new TypeError('network')))).rejects.toMatchObject({
      status: 0,
      message: expect.stringContaining('kept'),
    })
  })
})

describe('what is sent', () => {
  it('carries the token of the cookie', async () => {
    reply = () => json(200, { login: 'ines' })
    await api.GET('/api/me')
    expect(sent[0]?.request?.headers.get('X-XSRF-TOKEN')).toBe('token-7')
  })

  it('logs in with a form, after a look that brings the token', async () => {
    reply = () => new Response(null, { status: 204 })
    await logIn('ines', 'skerrow & more')
    expect(sent.map((one) => one.url)).toEqual(['/api/me', '/api/login'])
    expect(String(sent[1]?.init?.body)).toBe('username=ines&password=skerrow+%26+more')
  })

  it('says why a login failed, or that nobody was reached', async () => {
    reply = () => json(401, { detail: 'Login or password is wrong.' })
    await expect(logIn('ines', 'x')).rejects.toMatchObject({ status: 401, message: 'Login or password is wrong.' })
    reply = () => Promise.reject(new TypeError('away'))
    await expect(logIn('ines', 'x')).rejects.toMatchObject({ status: 0 })
  })

  it('sends files as they are and reads what was found in them', async () => {
    reply = () => json(200, { notes: ['2 rows left out'] })
    await expect(sendCsv(new File(['t,v\n0,1'], 'lamp.csv'))).resolves.toEqual({ notes: ['2 rows left out'] })
    expect(sent[0]?.init?.headers).toMatchObject({ 'Content-Type': 'text/csv', 'X-XSRF-TOKEN': 'token-7' })
    reply = () => json(413, { detail: 'Too large.' })
    await expect(importBoard('overlay: x')).rejects.toMatchObject({ status: 413, message: 'Too large.' })
  })

  it('survives an answer that is no JSON', async () => {
    reply = () => new Response('<html>', { status: 502 })
    await expect(sendCsv(new File([''], 'lamp.csv'))).rejects.toMatchObject({ status: 502 })
  })
})
