import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { fill, press, valueOf, withEngines } from '../testing.test-support.ts'
import { anOpenSeries, aScene } from './series.test-support.ts'
import StoryPanel from './StoryPanel.vue'

vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))
const STORY = 'Hedda opens the hives. The bees come out. Nobody tells this. At noon she sleeps.'
const range = (words: string) => ({ start: STORY.indexOf(words), end: STORY.indexOf(words) + words.length })
function panel(story = STORY) {
  const { open, acts, series } = anOpenSeries([aScene('a', { story: range('Hedda opens the hives. The bees come out.') }), aScene('b', { story: range('At noon she sleeps.') })])
  series.value = { ...series.value, story }
  const wrapper = mount(StoryPanel, { props: { open, chosen: 'a' }, global: withEngines() })
  return { wrapper, acts }
}

describe('the story behind the scenes', () => {
  it('stands in passages with the numbers of their scenes, what no scene tells too', () => {
    const { wrapper } = panel()
    expect(wrapper.findAll('.stretch').map((one) => one.text().replace(/\s+/g, ' '))).toEqual(['1Hedda opens the hives. begin a scene hereThe bees come out.', '– Nobody tells this.', '2At noon she sleeps.'])
    expect(wrapper.findAll('.untold')).toHaveLength(1)
  })

  it('opens a scene by its number', async () => {
    const { wrapper } = panel()
    await press(wrapper, 'Scene 2')
    expect(wrapper.emitted('choose')).toEqual([['b']])
  })

  it('splits the scene at hand where a sentence begins', async () => {
    const { wrapper, acts } = panel()
    await press(wrapper, 'begin a scene here')
    expect(acts.split.mock.calls).toEqual([['a', STORY.indexOf('The bees')]])
  })

  it('is rewritten, and stays as it was by Cancel', async () => {
    const { wrapper, acts } = panel()
    await press(wrapper, 'Rewrite the story')
    await fill(wrapper, 'The story', 'Another story.')
    await press(wrapper, 'Cancel')
    await press(wrapper, 'Rewrite the story')
    expect(valueOf(wrapper, 'The story')).toBe(STORY)
    await fill(wrapper, 'The story', 'Another story.')
    await press(wrapper, 'Save the story')
    expect(acts.change.mock.calls).toEqual([[{ story: 'Another story.' }]])
  })

  it('stays open, with what was written, where it could not be kept', async () => {
    const { wrapper, acts } = panel()
    acts.change.mockResolvedValueOnce(undefined)
    await press(wrapper, 'Rewrite the story')
    await fill(wrapper, 'The story', 'Another story.')
    await press(wrapper, 'Save the story')
    await flushPromises()
    expect(valueOf(wrapper, 'The story')).toBe('Another story.')
  })

  it('is none, which is said', () => {
    expect(panel('').wrapper.text()).toContain('This series has no story. Scenes can be added without one.')
  })
})
