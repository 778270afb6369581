import {
  type Prompt,
  type Run,
  addHelpers,
  addReference,
  addJudgement,
  addTerms,
  changePrompt,
  changeProof,
  changeVersion,
  createProject,
  createPrompt,
  deletePrompt,
  listHelpers,
  listProjects,
  listVersions,
  readCaseRun,
  readRun,
  saveEdits,
  saveHelperVersion,
  searchShelf,
  setMoney,
  setRules,
  startCaseRun,
  startRun,
} from '@idolon/contract'
import { type Draft, editBetween, isEmptyEdit } from '@idolon/core'
import { randomUUID } from 'node:crypto'
import { setTimeout as sleep } from 'node:timers/promises'
import pg from 'pg'
import { type Call, client } from './call.ts'
import { makeDemoCampaign } from './campaign.ts'
import { DEMO_HELPER } from './helpers.ts'
import { makeDemoSeries } from './series.ts'
import { type DemoProject, type DemoPrompt, WORLD } from './world.ts'

const RUN_TIMEOUT_MS = 120_000

async function finished(call: Call, run: Run): Promise<Run> {
  const end = Date.now() + RUN_TIMEOUT_MS
  for (;;) {
    const now = await call(readRun, { params: { run: run.id } })
    if (now.proofs.every(({ state }) => state !== 'asked' && state !== 'sent')) return now
    if (Date.now() > end) throw new Error('The demo world could not be made: the simulated engine did not answer in time.')
    await sleep(150)
  }
}

/** A sitting over the keepers: later ones are mostly found better, and some cannot be told apart. */
async function judgeBlind(call: Call, keepers: readonly string[]): Promise<void> {
  for (let gap = 1; gap < 4; gap++) {
    for (let i = 0; i + gap < keepers.length; i++) {
      const better = (i + gap) % 4 === 0 ? 'left' : (i * gap) % 3 === 2 ? null : 'right'
      await call(addJudgement, { body: { id: randomUUID(), left: keepers[i]!, right: keepers[i + gap]!, better } })
    }
  }
}

/** Writes one prompt as a person would: edit, try, judge, edit, try again. */
async function makePrompt(call: Call, projectId: string, demo: DemoPrompt): Promise<void> {
  const prompt: Prompt = await call(createPrompt, { body: { projectId, title: demo.title } })
  const params = { prompt: prompt.id }
  const writer = randomUUID()
  let draft = prompt.draft
  let revision = prompt.revision
  let sent = 0
  const keepers: string[] = []
  const write = async (next: Draft, goOnFrom?: number) => {
    const edit = editBetween(draft, next)
    if (!isEmptyEdit(edit)) {
      revision = (await call(saveEdits, { params, body: { client: writer, first: ++sent, base: revision, edits: [edit], ...(goOnFrom === undefined ? {} : { goOnFrom }) } })).revision
    }
    draft = next
  }
  for (const version of demo.versions) {
    await write({ ...draft, text: version.text, leaveOut: version.leaveOut ?? [], settings: version.settings ?? draft.settings, engines: version.engines?.map((engine) => ({ engine })) ?? (demo.engine ? [{ engine: demo.engine }] : draft.engines) }, version.from)
    const run = await finished(call, await call(startRun, { params, body: { id: randomUUID(), revision } }))
    for (const [i, verdict] of version.verdicts.entries()) {
      const proof = run.proofs[i]
      const fault = version.faults?.[i]
      if (proof?.state !== 'stored' || !(verdict || fault)) continue
      await call(changeProof, { params: { proof: proof.id }, body: { verdict, ...(fault ? { faults: [fault] } : {}) } })
      if (verdict === 'keep') keepers.push(proof.id)
    }
    if (version.why) await call(changeVersion, { params: { version: run.versionId }, body: { why: version.why } })
  }
  if (keepers.length > 3) await judgeBlind(call, keepers)
  if (demo.reference && keepers[0]) await call(addReference, { body: { id: randomUUID(), projectId, picture: { proofId: keepers[0] }, name: demo.reference, source: `a proof of “${demo.title}”`, rights: 'own', note: '' } })
  if (demo.draft) await write({ ...draft, text: demo.draft })
  await call(changePrompt, { params, body: { status: demo.status, tags: demo.tags, ...(demo.note ? { note: demo.note } : {}) } })
}

async function madeBefore(call: Call, projectId: string, demo: DemoPrompt): Promise<boolean> {
  const { rows } = await call(searchShelf, { query: { project: projectId, limit: 200 } })
  const there = rows.find(({ title }) => title === demo.title)
  if (!there) return false
  const versions = await call(listVersions, { params: { prompt: there.id } })
  if (versions.length === demo.versions.length && there.status === demo.status) return true
  // Half made when an earlier start was interrupted.
  await call(deletePrompt, { params: { prompt: there.id } })
  return false
}

async function projectFor(call: Call, demo: DemoProject): Promise<string> {
  const all = await call(listProjects)
  return (all.find(({ name }) => name === demo.name) ?? (await call(createProject, { body: { name: demo.name } }))).id
}

/** A helper with two versions, and both run on its cases. */
async function makeHelper(call: Call, projectId: string): Promise<void> {
  const [first, ...later] = DEMO_HELPER.versions
  if (!first || (await call(listHelpers)).some(({ body }) => body.name === first.body.name)) return
  const [helper] = await call(addHelpers, { body: { format: 'idolon-helpers-1', helpers: [{ body: first.body, why: first.why, cases: DEMO_HELPER.cases }] } })
  const params = { helper: helper!.id }
  for (const { body, why } of later) await call(saveHelperVersion, { params, body: { body, why, use: true } })
  const run = await call(startCaseRun, { params, body: { id: randomUUID(), projectId, sides: [1, 2].map((version) => ({ version, model: 'flourish' })), seed: 4 } })
  const end = Date.now() + RUN_TIMEOUT_MS
  for (;;) {
    const { results } = await call(readCaseRun, { params: { run: run.id } })
    if (results.every(({ state }) => state !== 'asked' && state !== 'answering')) return
    if (Date.now() > end) throw new Error('The demo world could not be made: the simulated models did not answer in time.')
    await sleep(150)
  }
}

/** Makes the demo world through the running application, once a database; an interrupted making is taken up again. */
export async function seedDemo(address: string, databaseUrl: string, say: (line: string) => void): Promise<void> {
  const database = new pg.Client({ connectionString: databaseUrl })
  await database.connect()
  try {
    const marks = new Set((await database.query<{ name: string }>('select name from marks')).rows.map(({ name }) => name))
    if (marks.has('demo world made')) return
    const call = client(address)
    if (!marks.has('demo world begun')) {
      if ((await call(listProjects)).length > 0) return
      await database.query(`insert into marks (name) values ('demo world begun')`)
    }
    const all = WORLD.flatMap((project) => project.prompts)
    let made = 0
    for (const project of WORLD) {
      const id = await projectFor(call, project)
      for (const prompt of project.prompts) {
        say(`Demo world: ${++made} of ${all.length}, ${prompt.title} ...`)
        if (!(await madeBefore(call, id, prompt))) await makePrompt(call, id, prompt)
      }
      // After its prompts, which were written before there were rules.
      if (project.rules) await call(setRules, { params: { project: id }, body: project.rules })
      if (project.money) await call(setMoney, { params: { project: id }, body: { currency: project.money.currency, rates: [{ unit: 'credit', price: project.money.price }], ceiling: { unit: 'credit', amount: project.money.ceiling } } })
      if (project.name === DEMO_HELPER.project) {
        say('Demo world: a helper on its cases ...')
        await makeHelper(call, id)
      }
      if (project.name === 'Lantern Bees') {
        say('Demo world: a picture book in six scenes ...')
        await makeDemoSeries(call, (run) => finished(call, run), id)
      }
      if (project.name === 'Skep & Cup') {
        say('Demo world: a campaign in five places ...')
        await makeDemoCampaign(call, id)
      }
      if (project.terms) await call(addTerms, { body: { projectId: id, entries: project.terms } })
    }
    await database.query(`insert into marks (name) values ('demo world made')`)
  } finally {
    await database.end()
  }
}
