import { entriesOf } from '../read/noise/leave-out.ts'
import type { Check } from './checked.ts'
import { edited } from './fixes.ts'

const NEGATED = /^(?:please\s+)?(?:(?:there\s+)?(?:should|must|shall|can|may)\s*(?:not|n['’]t|be no)|(?:must|should|do|does)n['’]t|do not|don['’]t|no\b|not\b|non-|none of|without\b|never\b|avoid(?:ing)?\b|exclud(?:e|ing)\b|zero\b|nothing\b|free of|absence of|lack of|remove\b|get rid of|leave out|omit\b|keep out)/iu
/** What introduces what is meant, once the negation is gone. */
const LEAD = /^(?:there\s+)?(?:(?:should|must|shall|can|may|do|does)\s*(?:not|n['’]t|be no)|free of|absence of|lack of|remove|get rid of|leave out|omit|keep out|never|nothing|none of|excluding|avoiding|not|non-)\s*(?:(?:be|have|show|add|include|contain|draw|use|put|any|a|an|the|with)\s+)*/iu

/** An entry of the leave-out list as the bare thing it means. */
export function bareEntry(entry: string): string {
  const plain = entry.replace(/^please\s+/i, '').replace(/^(?:mustn|shouldn|don|doesn)['’]t/i, 'do not')
  const without = plain.replace(LEAD, '')
  return (entriesOf(without)[0] ?? without).trim()
}

export const negatedLeaveOut: Check = ({ draft }) =>
  draft.leaveOut.flatMap((entry, at) => {
    if (!NEGATED.test(entry)) return []
    const bare = bareEntry(entry)
    const list = draft.leaveOut.flatMap((one, i) => (i === at ? (bare && !draft.leaveOut.includes(bare) ? [bare] : []) : [one]))
    return [
      {
        kind: 'negated-leave-out' as const,
        severity: 'caution' as const,
        where: { in: 'leaveOut' as const, entry },
        reason: `The list names what must not appear, so “${entry}” asks for the opposite; write ${bare ? `“${bare}”` : 'the bare thing'}.`,
        ...(bare ? { fix: { label: `Write “${bare}”`, edits: [edited(draft, [], { leaveOut: list })], safe: true } } : {}),
      },
    ]
  })
