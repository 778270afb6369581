/** What an instruction says of how to answer, outside its materials. */
export interface Told {
  words: number | undefined
  /** The longest the engine reads, in words. */
  limit: number | undefined
  style: 'list' | 'sentences' | undefined
  count: number | undefined
  everyFacet: boolean
  keepLocked: boolean
  noPraise: boolean
  noLeadIn: boolean
  noSettings: boolean
  ordinaryWords: boolean
  onePicture: boolean
}

const numberIn = (match: RegExpExecArray | null): number | undefined => (match?.[1] === undefined ? undefined : Number(match[1].replaceAll(',', '')))
const NUMBER_WORDS: Readonly<Record<string, number>> = { one: 1, two: 2, three: 3, four: 4, five: 5, six: 6, seven: 7, eight: 8, nine: 9, ten: 10, twelve: 12, fifteen: 15, twenty: 20 }

/** Reads an instruction as a model would: by what it says, not by who wrote it. */
export function toldIn(instruction: string): Told {
  const said = instruction.toLowerCase()
  const limit = /(?:reads?|engine)[^.]*?at most ([\d,]+) (characters|words|tokens)/.exec(said)
  const perUnit = limit?.[2] === 'characters' ? 6.2 : limit?.[2] === 'tokens' ? 1.6 : 1
  const count = /\b(\d+|one|two|three|four|five|six|seven|eight|nine|ten|twelve|fifteen|twenty)\b(?: more| short| other| further| distinct)* (?:ideas|ways|questions|entries|takes|alternatives|subjects)/.exec(said)?.[1] ?? /at most (\d+) (?:short )?(?:questions|entries)/.exec(said)?.[1]
  return {
    words: numberIn(/(?:about|around|exactly|at most|to|in) ([\d,]+) words/.exec(said)),
    limit: limit?.[1] === undefined ? undefined : Math.floor(Number(limit[1].replaceAll(',', '')) / perUnit),
    style: /words, (?:in |as )?sentences|in (?:whole |full )?sentences/.test(said) ? 'sentences' : /words, (?:as )?a list|as a list|as keywords/.test(said) ? 'list' : /reads (?:whole )?sentences/.test(said) ? 'sentences' : /reads a list/.test(said) ? 'list' : undefined,
    count: count === undefined ? undefined : (NUMBER_WORDS[count] ?? Number(count)),
    everyFacet: /every facet|each facet|all facets|every one of these facets/.test(said),
    keepLocked: /keep (?:all )?(?:these|the locked|every locked) words?/.test(said),
    noPraise: /no praise|without praise|take out praise/.test(said),
    noLeadIn: /no lead-in|without (?:a )?lead-in/.test(said),
    noSettings: /no settings|no lead-in and no settings/.test(said),
    ordinaryWords: /ordinary words|plain words/.test(said),
    onePicture: /one picture can show|one hour|one light/.test(said),
  }
}
