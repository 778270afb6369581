import { hashText, seededRandom } from '@idolon/core'
import { jsonIn, materialsOf } from '@idolon/core/helper'
import type { Asked } from './asked.ts'
import { linesOf } from './asked.ts'
import { captionOf } from './caption.ts'
import { changedFurther, isForMore } from './further.ts'
import { obeyed } from './gullible.ts'
import { MODELS } from './habits.ts'
import { type ChatRequest, contentOf } from './request.ts'
import { taskFor } from './tasks/index.ts'
import { toldIn } from './told.ts'

/** The properties that the answer's schema names, from the request or from the words of its system message. */
function propertiesOf(request: ChatRequest, system: string): string[] {
  const given = request.response_format?.json_schema?.schema ?? jsonIn(/Schema:\s*([\s\S]*)$/.exec(system)?.[1] ?? '')?.value
  return Object.keys((given as { properties?: Record<string, unknown> } | undefined)?.properties ?? {})
}

/** The answer of a simulated model, as it is when it behaves. The same request and seed give the same answer. */
export async function answerTo(request: ChatRequest, { gullible, authorization }: { gullible: boolean; authorization: string }): Promise<string> {
  const messages = request.messages.map(({ role, content }) => ({ role, ...contentOf(content) }))
  const system = messages.filter(({ role }) => role === 'system').map(({ text }) => text).join('\n')
  const [first, ...rest] = messages.filter(({ role }) => role !== 'system')
  const { outside, materials } = materialsOf(first?.text ?? '')
  const seed = request.seed ?? hashText(JSON.stringify(request.messages))
  const random = seededRandom(hashText(`${request.model} ${outside} ${materials.map(({ text }) => text).join('\n')}`) ^ Math.imul(seed + 1, 0x9e3779b1))
  const pictures = messages.flatMap((one) => one.pictures)
  const given = (name: string) => materials.find((one) => one.name === name)?.text ?? ''
  const properties = propertiesOf(request, system)
  const habits = MODELS[request.model] ?? MODELS['quoin-1']!
  const asked: Asked = { instruction: outside, told: toldIn(outside), given, random, way: seed, habits }
  const caption = pictures[0] === undefined ? undefined : await captionOf(pictures[0], random, { model: request.model, terse: habits.terse })
  if (caption !== undefined && !properties.length) return caption
  const answer = (): unknown => {
    if (caption !== undefined && given('prompt') === '') return { prompt: caption }
    let value = taskFor(outside, properties)(asked)
    // Each turn builds on the answer before it; one that was refused is only asked for again.
    for (const [i, message] of rest.entries()) {
      const further = /^Change your last answer in this way[^:]*: ([\s\S]+)$/.exec(message.text)?.[1]
      if (message.role !== 'user' || further === undefined) continue
      const before = jsonIn(rest[i - 1]?.text ?? '')?.value as Record<string, unknown> | undefined
      if (typeof before?.['prompt'] === 'string') value = { ...before, prompt: changedFurther(before['prompt'], further, { ...asked, told: toldIn(further) }, linesOf(given('locked'))) }
      else {
        const list = Object.values(before ?? {}).find(Array.isArray) as unknown[] | undefined
        const takes = (list ?? []).map((one) => (typeof one === 'string' ? one : JSON.stringify(one))).join('\n')
        const next: Asked = { ...asked, way: asked.way + i + 1, given: (name) => (name === 'takes' ? takes : name === 'theme' && !isForMore(further) ? `${given('theme')} ${further}` : given(name)) }
        value = taskFor(outside, properties)(next)
      }
    }
    return value
  }
  if (gullible) {
    const said = obeyed(materials.map(({ text }) => text), { system, authorization }, answer)
    if (said !== undefined) return said
  }
  return JSON.stringify(answer())
}
