import { flushPromises, mount } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { defineComponent } from 'vue'
import { withRouter } from '../testing.test-support.ts'
import { useAsked } from './asked.ts'

it('does what the address asks, once each time it is asked, and nothing that it does not know', async () => {
  const anew = vi.fn()
  const { global, router } = await withRouter('/series', '/series?do=new&q=fox')
  mount(defineComponent({ setup: () => useAsked(new Map([['new', () => void anew()]])), template: '<i />' }), { global })
  await flushPromises()
  expect([anew.mock.calls.length, router.currentRoute.value.fullPath]).toEqual([1, '/series?q=fox'])
  await router.push('/series?do=constructor')
  await flushPromises()
  expect([anew.mock.calls.length, router.currentRoute.value.fullPath]).toEqual([1, '/series'])
  await router.push('/series?do=new')
  await flushPromises()
  expect(anew).toHaveBeenCalledTimes(2)
})
