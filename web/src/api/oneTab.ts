/** Does something in one tab of this browser at a time; where the browser cannot tell tabs apart, at once. */
export function oneTabAtATime<T>(work: () => Promise<T>): Promise<T> {
  const locks = (navigator as Navigator & { locks?: LockManager }).locks
  return locks ? (locks.request('brick-signal-outbox', work) as Promise<T>) : work()
}
