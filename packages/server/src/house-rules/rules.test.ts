import { type Problem, promptsBreakingRules, readPrompt, readRules, setRules } from '@idolon/contract'
import { NO_RULES } from '@idolon/core'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { TestServer } from '../testing/test-server.ts'

let server: TestServer
beforeAll(async () => {
  server = await TestServer.start()
})
afterAll(() => server.stop())

describe('house rules', () => {
  it('are none at first, are set, and say which prompts they touch', async () => {
    const project = await server.project()
    const params = { project: project.id }
    expect(await server.call(readRules, { params })).toEqual(NO_RULES)
    await server.prompt('a red fox, birch forest, linocut', project.id)
    await server.prompt('a photograph of a hare at dusk, linocut', project.id)
    await server.call(setRules, { params, body: { ...NO_RULES, must: [{ phrase: 'linocut' }], never: ['photograph'] } })
    const { prompts, checked } = await server.call(promptsBreakingRules, { params })
    expect(checked).toBe(2)
    expect(prompts.map(({ reasons }) => reasons)).toEqual([['The house rules never say “photograph”.']])
  })

  it('are what a new prompt begins with', async () => {
    const project = await server.project()
    await server.call(setRules, { params: { project: project.id }, body: { ...NO_RULES, leaveOut: ['text'], engine: 'brayer', aspectRatio: '16:9' } })
    const { id } = await server.prompt('x', project.id)
    const { draft } = await server.call(readPrompt, { params: { prompt: id } })
    expect(draft).toMatchObject({ leaveOut: ['text'], engines: [{ engine: 'brayer' }], settings: { aspectRatio: '16:9' } })
  })

  it('are refused when one forbids what another demands, or names no engine here', async () => {
    const params = { project: (await server.project()).id }
    const refused = async (body: typeof NO_RULES) => {
      const answer = await server.ask(setRules, { params, body })
      return [answer.status, (answer.body as Problem).type]
    }
    expect(await refused({ ...NO_RULES, must: [{ phrase: 'honey jars' }], never: ['honey'] })).toEqual([422, '/problems/rules-contradict'])
    expect(await refused({ ...NO_RULES, engine: 'nobody' })).toEqual([422, '/problems/unknown-engine'])
    expect(await server.call(readRules, { params })).toEqual(NO_RULES)
    expect((await server.ask(readRules, { params: { project: randomUUID() } })).status).toBe(404)
  })
})
