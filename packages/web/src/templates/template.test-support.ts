import type { Template, TemplateWhole } from '@idolon/contract'
import type { TemplateSlot } from '@idolon/core'

export const aSlot = (name: string, options: string[] = [], more: Partial<TemplateSlot> = {}): TemplateSlot => ({ name, hint: '', options, fallback: options[0] ?? '', ...more })

export const aTemplate = (more: Partial<Template> = {}, body: Partial<Template['body']> = {}): Template => ({
  id: 't',
  projectId: null,
  shipped: false,
  version: 1,
  drafts: 0,
  behind: 0,
  keepers: 0,
  changedAt: '2026-01-01T10:00:00Z',
  ...more,
  body: { name: 'An animal in its place', does: 'One animal where it lives.', text: 'a {{ animal }} in {{ setting }}, gouache', slots: [aSlot('animal', ['fox', 'hen', 'owl']), aSlot('setting')], leaveOut: [], ...body },
})

export const aWholeTemplate = (template = aTemplate(), more: Partial<TemplateWhole> = {}): TemplateWhole => ({ template, versions: [{ number: template.version, body: template.body, why: '', madeAt: '2026-01-01T10:00:00Z' }], made: [], ...more })
