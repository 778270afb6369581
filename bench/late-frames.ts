import type { Page } from '@playwright/test'

const SCROLL_MS = 8_000
/** Pixels a second: a page and a half. */
const SPEED = 1_200
/** A frame that takes half as long again as the screen gives it is late. */
const LATE_MS = 25

/** The share of late frames, in percent, while the element is scrolled evenly. */
export const lateFrames = (page: Page, selector: string): Promise<number> =>
  page.evaluate(
    ([of, forMs, speed, late]) =>
      new Promise<number>((resolve) => {
        const element = document.querySelector(of)!
        const intervals: number[] = []
        const began = performance.now()
        let last = began
        const frame = (now: number) => {
          intervals.push(now - last)
          last = now
          element.scrollTop = ((now - began) / 1000) * speed
          if (now - began < forMs) requestAnimationFrame(frame)
          else resolve((100 * intervals.slice(2).filter((interval) => interval > late).length) / Math.max(1, intervals.length - 2))
        }
        requestAnimationFrame(frame)
      }),
    [selector, SCROLL_MS, SPEED, LATE_MS] as const,
  )
