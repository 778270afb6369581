import type { Turn } from '@idolon/contract'
import { hasShape } from '../api/shapes.ts'

/** What is heard of a turn while it is answered. */
export interface Hearing {
  /** All that has come so far. */
  text: (now: string) => void
  end: (turn: Turn) => void
  /** It is not there any more. */
  gone: () => void
}

/** Follows a turn as it is written; a lost connection goes on from where it was. Returns what ends it. */
export function followTurn(id: string, { text, end, gone }: Hearing): () => void {
  let now = ''
  let stream: EventSource | undefined
  let timer: ReturnType<typeof setTimeout> | undefined
  let closed = false
  const close = () => {
    closed = true
    clearTimeout(timer)
    stream?.close()
  }
  const open = () => {
    // A stream that is made anew begins at the beginning; one that the browser renews goes on.
    now = ''
    stream = new EventSource(`/api/turns/${id}/stream`)
    stream.onmessage = ({ data }: MessageEvent<string>) => {
      const piece: unknown = JSON.parse(data)
      if (typeof piece === 'string') text((now += piece))
    }
    stream.addEventListener('again', () => text((now = '')))
    stream.addEventListener('gone', () => {
      close()
      gone()
    })
    stream.addEventListener('end', ({ data }: MessageEvent<string>) => {
      close()
      void (async () => {
        const turn: unknown = JSON.parse(data)
        if (await hasShape('readTurn', turn)) end(turn as Turn)
        else gone()
      })()
    })
    stream.onerror = () => {
      if (stream?.readyState === EventSource.CLOSED && !closed) timer = setTimeout(open, 1_000)
    }
  }
  open()
  return close
}
