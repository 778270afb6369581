import type { TouchedPrompt } from '@idolon/contract'
import { fixedFacetsOf, type HouseRules, ruleConflicts } from '@idolon/core'
import { brokenRules } from '@idolon/core/check'
import { setImmediate as turn } from 'node:timers/promises'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import type { Engines } from '../engines/engines.ts'
import { recordEvent } from '../events/events.ts'
import { notFound, ProblemError } from '../http/problem.ts'
import { checkLanguage, promptReader } from '../phrases/prompt-reader.ts'
import { draftsOf, rulesOf, setRulesOf } from './store.ts'

/** Prompts of one project that are held against its rules, the last changed first. */
const MOST = 1_000
/** Prompts after which other requests have their turn. */
const AT_ONCE = 10

/** What every prompt of a project must say and must never say. */
export class Rules {
  constructor(
    private readonly db: Database,
    private readonly engines: Engines,
  ) {}

  async read(projectId: string): Promise<HouseRules> {
    const rules = await rulesOf(this.db, projectId)
    if (!rules) throw notFound('project')
    return rules
  }

  async set(_actor: Actor, projectId: string, rules: HouseRules): Promise<HouseRules> {
    await this.read(projectId)
    const conflicts = ruleConflicts(rules)
    if (conflicts.length) throw new ProblemError('rules-contradict', `${conflicts.join(' ')} Nothing was changed.`)
    if (rules.engine && !(await this.engines.find(rules.engine))) throw new ProblemError('unknown-engine', `There is no engine “${rules.engine}” here. Nothing was changed.`)
    await this.db.transaction(async (trx) => {
      await setRulesOf(trx, projectId, rules)
      await recordEvent(trx, { kind: 'project', projectId })
    })
    return rules
  }

  async broken(projectId: string): Promise<{ prompts: TouchedPrompt[]; checked: number }> {
    const rules = await this.read(projectId)
    const [drafts, reader, language, engines] = await Promise.all([draftsOf(this.db, projectId, MOST), promptReader(), checkLanguage(), this.engines.list()])
    const prompts: TouchedPrompt[] = []
    let checked = 0
    for (const { promptId, title, draft } of drafts) {
      if (!draft.text.trim()) continue
      const [choice] = draft.engines
      const engine = engines.find(({ profile }) => profile.id === choice?.engine)?.profile
      const findings = brokenRules(draft, reader.read(draft.text, fixedFacetsOf(draft.marks)), language, { rules, engine })
      if (findings.length) prompts.push({ promptId, title, reasons: findings.map(({ reason }) => reason) })
      if (++checked % AT_ONCE === 0) await turn()
    }
    return { prompts, checked }
  }
}
