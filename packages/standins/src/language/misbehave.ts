import type { Misbehaviour } from './request.ts'

const GERMAN = 'Ein alter Fischreiher steht bei Sonnenaufgang im Schilf, und das Licht ist weich und kalt, während im Hintergrund die Berge im Nebel liegen und der See ganz still ist.'
const PIXEL = 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg=='

const promptIn = (answer: string): { value: Record<string, unknown>; prompt: string } | undefined => {
  try {
    const value = JSON.parse(answer) as Record<string, unknown>
    return typeof value['prompt'] === 'string' ? { value, prompt: value['prompt'] } : undefined
  } catch {
    return undefined
  }
}
const withPrompt = (answer: string, change: (prompt: string) => string): string => {
  const found = promptIn(answer)
  return found ? JSON.stringify({ ...found.value, prompt: change(found.prompt) }) : answer
}

/** What a model says that misbehaves in a way that shows in its words. */
export const SAID_WRONGLY: Partial<Record<Misbehaviour, (answer: string) => string>> = {
  prose: (answer) => `Certainly. Here is what you asked for, with {every} wish considered:\n\n\`\`\`json\n${answer}\n\`\`\`\n\nLet me know whether it should be changed.`,
  cut: (answer) => answer.slice(0, Math.max(12, Math.floor(answer.length * 0.72))),
  'ignores-shape': (answer) => promptIn(answer)?.prompt ?? Object.values(JSON.parse(answer) as object).flat().map((one) => (typeof one === 'string' ? one : JSON.stringify(one))).join('; '),
  'wrong-case': (answer) => answer.replace(/"(\w)(\w*)":/g, (_, first: string, rest: string) => `"${first.toUpperCase()}${rest}":`),
  describes: (answer) => withPrompt(answer, (prompt) => `The image shows ${prompt.charAt(0).toLowerCase()}${prompt.slice(1)}`),
  'sends-picture': () => `![picture](data:image/png;base64,${PIXEL}${PIXEL}${PIXEL})`,
  'settings-in-text': (answer) => withPrompt(answer, (prompt) => `${prompt.replace(/[.,\s]+$/, '')}, guidance 7.5, steps 40, aspect ratio 3:2`),
  'invents-word': (answer) => withPrompt(answer, (prompt) => `${prompt.replace(/[.,\s]+$/, '')}, luminessence and velvoric glowmire`),
  'other-language': (answer) => withPrompt(answer, () => GERMAN),
  endless: (answer) => withPrompt(answer, (prompt) => `${prompt} `.repeat(Math.ceil(100_000 / (prompt.length + 1)))),
  markup: (answer) => withPrompt(answer, (prompt) => `<b>${prompt}</b><img src=x onerror="document.title='taken'"><script>document.title='taken'</script>`),
}
