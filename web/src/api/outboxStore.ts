import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import type { Entry } from './client'
import { tell } from '../words/words'

/** An entry on its way to the server, kept on this device until the server has it or a person gives it up. */
export interface Kept {
  id: string
  visit: string
  /** Whose it is: it is sent with that person's session alone. */
  login?: string
  /** Order in which it was made. */
  place: number
  entry: Entry
  /** Why the server refused it; absent while it is on its way. */
  refused?: { message: string; field: string; status: number }
}

/** Where entries are kept on the device. */
export interface OutboxStore {
  of(visit: string): Promise<Kept[]>
  /** Everything on this device, of all visits. */
  all(): Promise<Kept[]>
  put(kept: Kept): Promise<void>
  remove(id: string): Promise<void>
}

interface Schema extends DBSchema {
  outbox: { key: string; value: Kept; indexes: { visit: string } }
}

const DATABASE = 'brick-signal'

/** In IndexedDB, so that it survives a reload, a crash and a full local storage. */
class IndexedStore implements OutboxStore {
  private readonly database: Promise<IDBPDatabase<Schema>> = openDB<Schema>(DATABASE, 1, {
    upgrade(db) {
      db.createObjectStore('outbox', { keyPath: 'id' }).createIndex('visit', 'visit')
    },
  })

  /** Refused where the browser gives no database. */
  async opened(): Promise<void> {
    await this.database
  }

  async of(visit: string): Promise<Kept[]> {
    const all = await (await this.database).getAllFromIndex('outbox', 'visit', visit)
    return all.sort((a, b) => a.place - b.place)
  }

  async all(): Promise<Kept[]> {
    return (await (await this.database).getAll('outbox')).sort((a, b) => a.place - b.place)
  }

  async put(kept: Kept): Promise<void> {
    await (await this.database).put('outbox', kept)
  }

  async remove(id: string): Promise<void> {
    await (await this.database).delete('outbox', id)
  }
}

/** Where the browser gives no database (some private windows): kept as long as the page is open. */
export class MemoryStore implements OutboxStore {
  private readonly kept = new Map<string, Kept>()

  async all(): Promise<Kept[]> {
    return [...this.kept.values()].sort((a, b) => a.place - b.place)
  }

  async of(visit: string): Promise<Kept[]> {
    return (await this.all()).filter((k) => k.visit === visit)
  }

  async put(kept: Kept): Promise<void> {
    this.kept.set(kept.id, kept)
  }

  async remove(id: string): Promise<void> {
    this.kept.delete(id)
  }
}

/** The database of the device, and the page's memory where it will not open: nothing entered waits for a database that never comes. */
class FallingBack implements OutboxStore {
  private readonly memory = new MemoryStore()
  private readonly store: Promise<OutboxStore>

  constructor() {
    const indexed = new IndexedStore()
    this.store = indexed.opened().then(
      () => indexed,
      () => this.memory,
    )
  }

  async all() {
    return (await this.store).all()
  }

  async of(visit: string) {
    return (await this.store).of(visit)
  }

  async put(kept: Kept) {
    return (await this.store).put(kept)
  }

  async remove(id: string) {
    return (await this.store).remove(id)
  }
}

let shared: OutboxStore | undefined

/** The store of this device. */
export function outboxStore(): OutboxStore {
  shared ??= typeof indexedDB === 'undefined' ? new MemoryStore() : new FallingBack()
  return shared
}

/**
 * Entries that an earlier version of the program left in local storage: they cannot be sent as they are, and they are not lost.
 * They are shown as refused, with what they say.
 */
export async function takeOver(visit: string, store: OutboxStore): Promise<void> {
  const key = `brick-outbox-${visit}`
  const left = localStorage.getItem(key)
  if (!left) return
  const entries = JSON.parse(left) as { id: string }[]
  for (const [i, entry] of entries.entries()) {
    await store.put({
      id: entry.id,
      visit,
      place: i,
      entry: entry as unknown as Entry,
      refused: {
        message: tell('outboxStore.writtenByAnEarlierVersion'),
        field: '',
        status: 0,
      },
    })
  }
  localStorage.removeItem(key)
}
