import type { ChangeEvent } from '@idolon/contract'
import { onScopeDispose, ref } from 'vue'
import { hasShape } from './shapes.ts'

type Listener = (event: ChangeEvent | 'reset') => void
/** What the one window that holds the stream tells the others. */
type Relayed = { event: ChangeEvent | 'reset' } | { connected: boolean }

const listeners = new Set<Listener>()
/** Whether the stream of changes is open, that is, the server answers. */
export const connected = ref(true)
let begun = false

const tell = (event: ChangeEvent | 'reset'): void => {
  for (const listener of listeners) listener(event)
}

/** Opens the stream and keeps it open for as long as this window lives. */
function hold(relay: (message: Relayed) => void, tookOver: boolean): void {
  const spread = (event: ChangeEvent | 'reset') => {
    tell(event)
    relay({ event })
  }
  const say = (now: boolean) => {
    connected.value = now
    relay({ connected: now })
  }
  /** Events are told in the order in which they came, each once its shape is known to be right. */
  let told: Promise<void> = Promise.resolve()
  const open = () => {
    const stream = new EventSource('/api/events')
    stream.onopen = () => say(true)
    stream.onmessage = ({ data }: MessageEvent<string>) => {
      const event: unknown = JSON.parse(data)
      told = told.then(async () => {
        if (await hasShape('ChangeEvent', event)) spread(event as ChangeEvent)
      }).catch(() => undefined)
    }
    // Between the window that held the stream and this one something may have been missed.
    stream.addEventListener('hello', () => {
      if (tookOver) spread('reset')
    })
    stream.addEventListener('reset', () => void (told = told.then(() => spread('reset'))))
    stream.onerror = () => {
      say(false)
      // The browser comes back by itself with Last-Event-ID, unless it has given up.
      if (stream.readyState === EventSource.CLOSED) {
        tookOver = true
        setTimeout(open, 1_500)
      }
    }
  }
  open()
}

/**
 * Of all windows one holds the stream and tells the others: a browser opens
 * only six connections to a server, and a stream of each window would use them up.
 */
function begin(): void {
  const channel = new BroadcastChannel('idolon-changes')
  channel.onmessage = ({ data }: MessageEvent<Relayed>) => {
    if ('event' in data) tell(data.event)
    else connected.value = data.connected
  }
  const forever = () => new Promise<never>(() => undefined)
  const relay = (message: Relayed) => channel.postMessage(message)
  void navigator.locks.request('idolon-changes', { ifAvailable: true }, (lock) => {
    if (lock) {
      hold(relay, false)
      return forever()
    }
    void navigator.locks.request('idolon-changes', () => {
      hold(relay, true)
      return forever()
    })
    return undefined
  })
}

/** Hears what changes on the server while the component or store that calls lives. `reset`: read everything again. */
export function onChange(listener: Listener): void {
  listeners.add(listener)
  if (!begun) begin()
  begun = true
  onScopeDispose(() => listeners.delete(listener))
}
