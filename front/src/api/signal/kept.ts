import { type DBSchema, type IDBPDatabase, openDB } from 'idb'

/** What was asked of the server and waits on this device until it can be sent. */
export interface Waiting {
  id?: number
  /** Whose entry it is: nobody else's session sends it. */
  person: string
  method: string
  path: string
  body: unknown
  /** By the clock of the device. */
  madeAt: string
  says: string
  /** Why the server would not take it; it waits for somebody to decide. */
  refused?: string
}

interface Kept extends DBSchema {
  answers: { key: string; value: { body: string; at: string } }
  waiting: { key: number; value: Waiting }
}

let opened: Promise<IDBPDatabase<Kept>> | null = null

function open(): Promise<IDBPDatabase<Kept>> {
  opened ??= openDB<Kept>('ironwort', 1, {
    upgrade(db) {
      db.createObjectStore('answers')
      db.createObjectStore('waiting', { keyPath: 'id', autoIncrement: true })
    },
  })
  return opened
}

export async function keepAnswer(path: string, body: string): Promise<void> {
  await (await open()).put('answers', { body, at: new Date().toISOString() }, path)
}

export async function keptAnswer(path: string): Promise<{ body: string; at: string } | undefined> {
  return (await open()).get('answers', path)
}

/** Whoever comes next on this device reads nothing of what the last one saw; what waits stays. */
export async function forgetAnswers(): Promise<void> {
  await (await open()).clear('answers')
}

export async function wait(entry: Waiting): Promise<void> {
  await (await open()).add('waiting', entry)
}

export async function waitingNow(): Promise<Waiting[]> {
  return (await open()).getAll('waiting')
}

export async function changeWaiting(entry: Waiting): Promise<void> {
  await (await open()).put('waiting', entry)
}

export async function drop(id: number): Promise<void> {
  await (await open()).delete('waiting', id)
}
