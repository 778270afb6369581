import type { Random } from '@idolon/core'
import type { Habits } from './habits.ts'
import type { Told } from './told.ts'

/** A request as a model takes it in. */
export interface Asked {
  /** What it is told to do; materials are named in it and stand beside. */
  instruction: string
  told: Told
  /** What it is given to work on, by name; an empty text for what is not there. */
  given: (name: string) => string
  random: Random
  /** Chooses among ways to begin, so that two seeds do not begin alike. */
  way: number
  habits: Habits
}

export const linesOf = (text: string): string[] => text.split('\n').map((line) => line.trim()).filter(Boolean)
export const choose = <T>(list: readonly T[], random: Random): T => list[Math.floor(random() * list.length)]!
export const shuffle = <T>(list: readonly T[], random: Random): T[] =>
  list
    .map((value) => ({ value, at: random() }))
    .sort((a, b) => a.at - b.at)
    .map(({ value }) => value)
