import { useEventListener } from '@vueuse/core'
import { computed, type Ref, ref } from 'vue'

const STEP = 1.25
const MOST = 12

export interface ZoomState {
  scale: Ref<number>
  x: Ref<number>
  y: Ref<number>
}
export const zoomState = (): ZoomState => ({ scale: ref(1), x: ref(0), y: ref(0) })

/** Zoom and pan of a picture in its frame: wheel, drag, and keys by way of `by` and `pan`. Frames that share a state move together. */
export function useZoom(frame: Ref<HTMLElement | undefined>, { scale, x, y }: ZoomState = zoomState()) {
  let dragging: { fromX: number; fromY: number } | undefined

  /** Zooms by steps, keeping the point (px, from the frame's middle) where it is. */
  function by(steps: number, px = 0, py = 0): void {
    const next = Math.min(MOST, Math.max(1, scale.value * STEP ** steps))
    const ratio = next / scale.value
    x.value = next === 1 ? 0 : px - (px - x.value) * ratio
    y.value = next === 1 ? 0 : py - (py - y.value) * ratio
    scale.value = next
  }
  function whole(): void {
    scale.value = 1
    x.value = 0
    y.value = 0
  }
  function pan(dx: number, dy: number): void {
    if (scale.value === 1) return
    x.value += dx
    y.value += dy
  }

  useEventListener(
    frame,
    'wheel',
    (event: WheelEvent) => {
      event.preventDefault()
      const box = frame.value?.getBoundingClientRect()
      if (box) by(event.deltaY < 0 ? 1 : -1, event.clientX - box.left - box.width / 2, event.clientY - box.top - box.height / 2)
    },
    { passive: false },
  )
  useEventListener(frame, 'pointerdown', (event: PointerEvent) => {
    if (scale.value === 1 || event.button !== 0) return
    frame.value?.setPointerCapture(event.pointerId)
    dragging = { fromX: event.clientX - x.value, fromY: event.clientY - y.value }
  })
  useEventListener(frame, 'pointermove', (event: PointerEvent) => {
    if (!dragging) return
    x.value = event.clientX - dragging.fromX
    y.value = event.clientY - dragging.fromY
  })
  useEventListener(frame, ['pointerup', 'pointercancel'], () => {
    dragging = undefined
  })
  return { scale, by, pan, whole, transform: computed(() => `translate(${x.value}px, ${y.value}px) scale(${scale.value})`) }
}
