import type { Draft } from '../../draft/shape.ts'
import type { Closing } from '../shape.ts'

/** Whether a draft or a version has what a closing asks for; a setting belongs to a draft, and a version without settings has none. */
export function hasClosing({ text, leaveOut, references, settings }: Pick<Draft, 'text' | 'leaveOut'> & { references: readonly Pick<Draft['references'][number], 'role'>[]; settings?: Draft['settings'] }, closing: Closing): boolean {
  if ('say' in closing) return text.toLowerCase().includes(closing.say.toLowerCase())
  if ('leaveOut' in closing) return leaveOut.some((entry) => entry.toLowerCase() === closing.leaveOut.toLowerCase())
  if ('setting' in closing) return settings?.[closing.setting] === closing.value
  return references.some(({ role }) => role === closing.follow)
}
