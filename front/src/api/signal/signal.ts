import { reactive } from 'vue'
import { changeWaiting, drop, type Waiting, waitingNow } from './kept'

/** How this device stands to the server: whether it answers, what waits, and what became of what waited. */
export const signal = reactive({
  lost: false,
  /** When what is shown was read, where the server did not answer. */
  keptAt: null as string | null,
  waiting: [] as Waiting[],
  /** What was booked of late out of the waiting, in order. */
  sent: [] as string[],
})

/** Who is signed in here; what somebody else left waiting stays theirs. */
let person: string | null = null
export function setPerson(name: string | null): void {
  person = name
}
export const whoWaits = (): string => person ?? ''

export async function countWaiting(): Promise<void> {
  signal.waiting = (await waitingNow()).filter((one) => one.person === person)
}

/** Whether something of this address waits, for a page that shows it as done here. */
export const waits = (path: string): Waiting | undefined =>
  signal.waiting.find((one) => one.path === path || one.path.startsWith(path))

type Send = (entry: Waiting) => Promise<{ ok: boolean; says: string | null }>
let sending: Promise<number> | null = null

/**
 * Sends what waits, in the order in which it was made; one that is refused is kept with its reason, and those after it
 * go on. Nothing is sent twice at once, and a key that arrived already books nothing again.
 *
 * @returns how many were booked
 */
export function sendWaiting(send: Send): Promise<number> {
  sending ??= run(send).finally(() => (sending = null))
  return sending
}

async function run(send: Send): Promise<number> {
  let booked = 0
  for (const entry of await waitingNow()) {
    if (entry.person !== person || entry.refused !== undefined || entry.id === undefined) continue
    let got: Awaited<ReturnType<Send>>
    try {
      got = await send(entry)
    } catch {
      break
    }
    if (got.ok) {
      await drop(entry.id)
      signal.sent.push(entry.says)
      booked++
    } else {
      await changeWaiting({ ...entry, refused: got.says ?? 'It was not taken.' })
    }
  }
  await countWaiting()
  return booked
}

export async function giveUp(id: number): Promise<void> {
  await drop(id)
  await countWaiting()
}

export async function tryAgain(entry: Waiting): Promise<void> {
  const again = { ...entry }
  delete again.refused
  await changeWaiting(again)
  await countWaiting()
}
