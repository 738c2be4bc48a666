import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import type { Entry } from './client'

/** An entry on its way to the server, kept on this device until the server has it or a person gives it up. */
export interface Kept {
  id: string
  visit: string
  /** Order in which it was made. */
  place: number
  entry: Entry
  /** Why the server refused it; absent while it is on its way. */
  refused?: { message: string; field: string; status: number }
}

/** Where entries are kept on the device. */
export interface OutboxStore {
  of(visit: string): Promise<Kept[]>
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

  async of(visit: string): Promise<Kept[]> {
    const all = await (await this.database).getAllFromIndex('outbox', 'visit', visit)
    return all.sort((a, b) => a.place - b.place)
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
  private readonly all = new Map<string, Kept>()

  async of(visit: string): Promise<Kept[]> {
    return [...this.all.values()].filter((k) => k.visit === visit).sort((a, b) => a.place - b.place)
  }

  async put(kept: Kept): Promise<void> {
    this.all.set(kept.id, kept)
  }

  async remove(id: string): Promise<void> {
    this.all.delete(id)
  }
}

let shared: OutboxStore | undefined

/** The store of this device. */
export function outboxStore(): OutboxStore {
  shared ??= typeof indexedDB === 'undefined' ? new MemoryStore() : new IndexedStore()
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
        message: 'Written by an earlier version of this program and never sent. Enter it again, then discard this.',
        field: '',
        status: 0,
      },
    })
  }
  localStorage.removeItem(key)
}
