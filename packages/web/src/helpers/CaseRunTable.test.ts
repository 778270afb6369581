import type { CaseResult, CaseRun } from '@idolon/contract'
import { mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import { withEngines } from '../testing.test-support.ts'
import CaseRunTable from './CaseRunTable.vue'

const result = (name: string, side: number, passed: boolean | null, more: Partial<CaseResult> = {}): CaseResult => ({ caseId: name, caseName: name, side, turnId: `${name}${side}`, state: passed === null ? 'asked' : 'done', passed, verdicts: passed === null ? [] : [{ criterion: { kind: 'schema-valid' } as never, pass: passed, says: passed ? 'It fits.' : '88 words; 35 to 75 are wanted.' }], problem: null, answer: `answer of ${name} ${side}`, cost: 100, tookMs: 1_000, ...more })
const run = (results: CaseResult[], more: Partial<CaseRun> = {}): CaseRun => ({ id: 'c', helperId: 'h', projectId: 'j', sides: [{ version: 1, model: 'quoin' }, { version: 2, model: 'quoin' }], askedAt: '2026-01-01T10:00:00Z', stoppedAt: null, unit: 'token', results, ...more })
const table = (given: CaseRun) => mount(CaseRunTable, { props: { run: given }, global: withEngines() })

it('puts what fails first, and says what a change broke and fixed', () => {
  const wrapper = table(run([result('fox', 0, true), result('fox', 1, true), result('hen', 0, true), result('hen', 1, false), result('bee', 0, false), result('bee', 1, false), result('owl', 0, false), result('owl', 1, true)]))
  const names = wrapper.findAll('tbody td:first-child').map((one) => one.text())
  expect(names[0]).toBe('bee')
  expect(names.at(-1)).toBe('fox')
  expect(names).toEqual(expect.arrayContaining(['hen broken', 'owl fixed']))
  expect(wrapper.get('.sentence').text()).toMatch(/Version 1, quoin passes 2 of 4, version 2, quoin 2/)
  expect(wrapper.findAll('thead th')[1]!.text()).toContain('2 of 4 pass, 400 tokens, half within 1.0 s')
})

it('shows how far it is, can be stopped, and does not judge before the end; an answer can be read', async () => {
  const wrapper = table(run([result('fox', 0, true), result('fox', 1, null)]))
  expect(wrapper.get('[role=status]').text()).toContain('1 of 2 answers')
  expect(wrapper.find('.sentence').exists()).toBe(false)
  await wrapper.get('[role=status] button').trigger('click')
  expect(wrapper.emitted('stop')).toHaveLength(1)
  await wrapper.get('tbody td button').trigger('click')
  expect(wrapper.findAll('pre').map((one) => one.text())).toEqual(['answer of fox 0', 'answer of fox 1'])
})
