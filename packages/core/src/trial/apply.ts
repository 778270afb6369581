import type { Draft, EngineChoice, Settings } from '../draft/shape.ts'
import { applyEdit } from '../draft/edit.ts'
import { changesBetween } from '../draft/rebase.ts'
import { fillTemplate } from '../template/fill/fill.ts'
import { type SlotValues, valuesFor } from '../template/body.ts'
import { readTemplate } from '../template/template.ts'
import type { WordTable } from '../read/words/word-table.ts'
import { factorName, optionName, type TrialBody } from './plan.ts'
import type { Row } from './ways/row.ts'

/** One combination as it is tried: the draft, and the one engine or all of the draft's. */
export interface Combination {
  draft: Draft
  /** What was chosen, by what varies: for the sheet. */
  options: Record<string, string>
}

/**
 * The draft of a combination: the frame filled with its words, its engine and its settings. Marks of the base draft stay where their words do.
 * `nameOf` says what engines are called.
 */
export function combine(base: Draft, plan: TrialBody, row: Row, words: WordTable, nameOf?: (choice: EngineChoice) => string): Combination {
  const values: SlotValues = { ...plan.values }
  const settings: Settings = {}
  let engines = base.engines
  const options: Record<string, string> = {}
  plan.factors.forEach((factor, f) => {
    const option = row[f]!
    options[factorName(factor)] = optionName(factor, option, nameOf)
    if (factor.kind === 'words') values[factor.slot] = factor.options[option]!
    else if (factor.kind === 'engine') engines = [factor.options[option]!]
    else settings[factor.key] = factor.options[option]!
  })
  const varied = new Set(plan.factors.flatMap((factor) => (factor.kind === 'words' ? [factor.slot] : [])))
  // An empty option is nothing, not what the slot says by itself.
  const own = { ...valuesFor(plan.slots, values), ...Object.fromEntries([...varied].map((slot) => [slot, values[slot] ?? ''])) }
  const facets = new Map(plan.slots.map(({ name, facet }) => [name, facet]))
  const { text } = fillTemplate(readTemplate(plan.frame).parts, own, words, (slot) => facets.get(slot))
  const draft = applyEdit(base, { text: changesBetween(base.text, text) })
  return {
    draft: {
      ...draft,
      // A setting that varies holds for every engine, before what an engine has of its own.
      settings: { ...draft.settings, ...settings },
      engines: engines.map((choice) => (choice.settings ? { ...choice, settings: { ...choice.settings, ...settings } } : choice)),
    },
    options,
  }
}
