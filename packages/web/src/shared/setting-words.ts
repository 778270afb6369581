import type { EngineProfile, Settings } from '@idolon/core'

const WORDS: Record<string, string> = { aspectRatio: 'Aspect ratio', count: 'Results', seed: 'Seed', guidance: 'Guidance', steps: 'Steps', width: 'Width', height: 'Height' }

/** Settings as name and value in reading order, named as the engine names its own; width and height as one size. */
export function settingLines(settings: Settings, profile?: Pick<EngineProfile, 'settings'>): { name: string; value: string }[] {
  const { width, height, ...rest } = settings
  const lines = Object.entries(rest).map(([key, value]) => ({ name: WORDS[key] ?? profile?.settings.find((setting) => setting.key === key)?.label ?? key, value: String(value) }))
  if (width !== undefined && height !== undefined) lines.splice(1, 0, { name: 'Size', value: `${width} by ${height} pixels` })
  return lines
}
