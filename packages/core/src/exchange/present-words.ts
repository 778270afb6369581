/** Names of kinds, units and keys that were called otherwise before; what they stand for is the same. */
const KINDS: ReadonlyMap<unknown, string> = new Map([['waived', 'dismissed'], ['fixed-kept', 'locked-kept']])
const UNITS: ReadonlyMap<unknown, string> = new Map([['piece', 'token'], ['pieces', 'tokens']])

type Fields = Record<string, unknown>
const isMark = ({ from, to }: Fields) => typeof from === 'number' && typeof to === 'number'

/** A key's present name, by what else the object holds, so that a user's own key of that name stays. */
function keyOf(key: string, own: Fields): string {
  if (key === 'waived' && (Array.isArray(own[key]) || 'reason' in own)) return 'dismissed'
  if (key === 'fixed' && Array.isArray(own[key]) && 'criteria' in own) return 'locked'
  if (key === 'fixedLost') return 'lockedLost'
  if (key === 'broughtIn' && typeof own[key] === 'boolean') return 'imported'
  if ((key === 'piecesIn' || key === 'piecesOut') && 'text' in own) return key.replace('pieces', 'tokens')
  return key
}

function valueOf(key: string, value: unknown, own: Fields): unknown {
  if (key === 'kind') return value === 'fixed' && isMark(own) ? 'locked' : (KINDS.get(value) ?? value)
  if (key === 'unit' || key === 'costUnit') return UNITS.get(value) ?? value
  // Slots of an instruction.
  if (key === 'instruction' && typeof value === 'string') return value.replace(/\{\{(\s*[#/^]?\s*)fixed(\s*)\}\}/g, '{{$1locked$2}}').replace(/\{\{(\s*[#/^]?\s*)manner(\s*)\}\}/g, '{{$1writingStyle$2}}')
  if (key === 'key' && value === 'manner' && 'label' in own) return 'writingStyle'
  return inPresentWords(value)
}

/**
 * JSON that an earlier Idolon wrote (a stored row, a bundle, a profile, helpers), with the names that are used now: what is
 * locked was fixed, what is dismissed was waived, a token was a piece, a writing style a manner, what is imported was brought in. Anything else is as it was.
 */
export function inPresentWords(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(inPresentWords)
  if (typeof value !== 'object' || value === null) return value
  const own = value as Fields
  return Object.fromEntries(Object.entries(own).map(([key, one]) => [keyOf(key, own), valueOf(key, one, own)]))
}
