import type { TextRange } from '../../text-range.ts'

/** What kind of time a mention gives. */
export type MomentKind = 'daypart' | 'clock' | 'day' | 'season' | 'date' | 'elapsed' | 'vague'

/** A time that a story's sentence is set in. */
export interface MomentMention extends TextRange {
  kind: MomentKind
  /** The words less what leads them in: “next morning” of “on the next morning”. */
  text: string
  /** How surely it says that time has moved on since what was told before, 0 to 1. */
  moves: number
  /** Something done again and again at that time: it dates the scene but moves nothing. */
  habitual: boolean
  /** Since or until when: the end of a stretch, not when it happens. */
  limit: boolean
}

const NUMBER = String.raw`(?:an?|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|thirteen|fifteen|twenty|thirty|forty|fifty|sixty|a hundred|a thousand|half an|a few|several|some|many|countless|a couple of|\d+)`
const COUNTED = 'first|second|third|fourth|fifth|sixth|seventh|eighth|ninth|tenth|eleventh|twelfth'
const ORDINAL = String.raw`(?:${COUNTED}|last|\d+(?:st|nd|rd|th))`
/** What a time of day may only describe: “the night bus”. */
const NO_TIME = String.raw`(?!\s+(?:bus|train|tram|boat|ferry|flight|shift|watch|sky|skies|air|light|sun|star|mist|fog|dew|bell|bells|prayer|paper|news|coffee|tea|meal|guard|watchman|porter|nurse|owl|moth|class|school|club|market|wind|breeze|heat|chill|sunlight|sunshine|shadows?|dress|gown|table|stand|glory|traffic|clothes|coat|boots|cap|hat)(?![\p{L}]))`
const DAYPART = String.raw`(?:early |mid-?|late )?(?:dawn|daybreak|sunrise|sun-?up|first light|mornings?|noon|mid-?day|lunch-?time|afternoons?|dusk|twilight|sunset|sundown|nightfall|evenings?|nights?|midnight|small hours|early hours|overnight|bed-?time|tea-?time|daylight|moonrise)${NO_TIME}`
const WEEKDAY = String.raw`(?:(?:Christmas|New Year['’]s|Midsummer|Easter)(?: (?:Eve|Day|Sunday|Monday|Night))?|Halloween|Thanksgiving|Mondays?|Tuesdays?|Wednesdays?|Thursdays?|Fridays?|Saturdays?|Sundays?)`
const MONTH = String.raw`(?:January|February|March|April|May|June|July|August|September|October|November|December)`
const SEASON = String.raw`(?:early |mid-?|late )?(?:spring|summer|autumn|winter|springtime|summertime|wintertime|harvest time|harvest)${NO_TIME}`
const UNIT = String.raw`(?:seconds?|moments?|minutes?|hours?|days?|nights?|weeks?|fortnights?|months?|seasons?|summers?|winters?|years?|decades?|centur(?:y|ies))`
const PICK = String.raw`(?:(?:the|that|this|one|each|every|another|the very|that very|that same|the same|the next|the following|next|last|the last|the previous|the (?:other|${COUNTED}|last|thirteenth|fifteenth|twentieth|hundredth))\s+)`
const ADJECTIVE = String.raw`(?:(?:cold|warm|hot|dark|wet|rainy|dry|grey|gray|bright|clear|still|quiet|stormy|windy|snowy|foggy|misty|moonlit|starry|long|short|fine|summer|winter|spring|autumn|harsh|mild|sunny|frosty|icy|golden|freezing|bitter|sleepless|moonless|beautiful|lovely|coldest|hottest|wettest|longest|early|late|particular|certain)\s+){0,3}`
const DAY_MEAL = String.raw`(?:breakfast|lunch|supper|dinner|tea|school|work|class|church|mass|dark|the (?:break|meal|lesson|briefing|meeting|show|concert|war|flood|storm|harvest|funeral|wedding|feast|service|performance|match|game|race))`

interface Pattern {
  kind: MomentKind
  moves: number
  form: RegExp
}

const pattern = (kind: MomentKind, moves: number, form: string, flags = 'giu'): Pattern => ({ kind, moves, form: new RegExp(`(?<![\\p{L}\\p{N}’'-])(?:${form})(?![\\p{L}\\p{N}’'-])`, flags) })

const LED = String.raw`(?:(?:in|on|at|by|during|around|about|towards?|near|before|after|until|till|since|from|through|all through|all|throughout|late in|early in|late on|early on|just before|just after|shortly before|shortly after|long before|soon after|right after|past|well past|deep in|in the middle of|at the end of|at the beginning of)\s+(?:the\s+)?)`
const TODAY = String.raw`(?:today|nowadays|these days|to this day|tomorrow|tonight|yesterday)`

/** Longer and surer forms first; a stretch that one has taken is no other's. */
const PATTERNS: readonly Pattern[] = [
  // Three days later; an hour after that; nine hundred years ago; two winters passed.
  pattern('elapsed', 1, String.raw`(?:(?:almost|about|nearly|exactly|barely|just|only|not)\s+)?${NUMBER}\s+(?:(?:long|short|full|whole|hundred|thousand|more|dozen|happy|quiet)\s+){0,2}${UNIT}\s+(?:later|afterwards?|after(?=[,\s])|on(?=[,.])|ago|passed|went by|go by|pass(?:es)?|had passed|had gone by|earlier|before(?=[,.]))`),
  pattern('elapsed', 1, String.raw`(?:after|within|in less than|for)\s+(?:(?:almost|about|nearly|exactly|another|only|just)\s+)?${NUMBER}\s+(?:(?:long|short|full|whole|hundred|more)\s+)?(?:hours?|days?|nights?|weeks?|months?|winters?|summers?|years?|decades?|centuries)(?=,)`),
  pattern('elapsed', 1, String.raw`(?:many |long |some )?(?:hours|days|weeks|months|years|decades|centuries|generations)\s+(?:later|afterwards?|ago|passed|went by|go by|pass)`),
  pattern('elapsed', 0.25, String.raw`(?:(?:a|one|only|just|few|several|some|\w+)\s+)?(?:seconds?|moments?|minutes?)\s+(?:later|afterwards?|passed)`),
  // At seven in the evening; 6 a.m.; at ten sharp; past three o'clock.
  pattern('clock', 0.8, String.raw`(?:(?:at|by|around|about|just after|shortly after|shortly before|before|after|past|until)\s+)?(?:exactly |about |almost |around )?(?:half past |(?:a )?quarter (?:past|to) |twenty (?:past|to) |ten (?:past|to) |five (?:past|to) )?(?:${NUMBER}|\d{1,2}[:.]\d{2})\s*(?:o['’]clock|a\.?m\.?|p\.?m\.?|sharp|in the (?:early )?(?:morning|afternoon|evening)|at night)(?:\s+(?:in the (?:morning|afternoon|evening)|at night|sharp))?(?:\s+(?:on\s+)?(?:the same day|${WEEKDAY}))?`),
  pattern('clock', 0.8, String.raw`(?:at|by|around|before|after|until)\s+(?:exactly |about )?\d{1,2}[:.]\d{2}`),
  // The next morning; that same evening; one rainy Sunday afternoon in May.
  pattern('day', 0.95, String.raw`(?:(?:on|by|at|in|until|before|since|from|all)\s+)?${PICK}?(?:an?\s+)?${ADJECTIVE}${WEEKDAY}(?:\s+${DAYPART})?(?:\s+(?:in|of)\s+(?:(?:early|late|mid)[- ])?(?:${MONTH}|${SEASON}))?(?:,?\s+\d{1,2}\s+${MONTH}(?:\s+\d{3,4})?)?`, 'gu'),
  pattern('daypart', 0.95, String.raw`${LED}?${PICK}${ADJECTIVE}(?:${DAYPART})(?:\s+(?:in|of)\s+(?:(?:early|late|mid)[- ]?)?(?:${MONTH}|${SEASON}|\d{4}|${WEEKDAY}))?`),
  pattern('daypart', 0.85, String.raw`${LED}(?:an?\s+)?${ADJECTIVE}${DAYPART}(?:\s+(?:in|of)\s+(?:(?:early|late|mid)[- ]?)?(?:${MONTH}|${SEASON}|\d{4}|${WEEKDAY}))?`),
  // 3 March 1848; in May 1412; around 1300; in the 1840s; in the fourteenth century.
  pattern('date', 0.95, String.raw`(?:(?:on|by|in|since|until|from|around)\s+)?(?:the\s+)?\d{1,2}(?:st|nd|rd|th)?\s+(?:of\s+)?${MONTH}(?:,?\s+\d{3,4})?`, 'gu'),
  pattern('date', 0.95, String.raw`(?:(?:[Oo]n|[Bb]y|[Ss]ince|[Uu]ntil)\s+)?${MONTH}\s+\d{1,2}(?:st|nd|rd|th)?(?:,?\s+\d{4})?`, 'gu'),
  pattern('date', 0.95, String.raw`(?:[Ii]n|[Bb]y|[Ss]ince|[Uu]ntil|[Aa]round|[Dd]uring|[Tt]hroughout|[Aa]ll)\s+(?:(?:early|late|mid|the middle of|the beginning of|the end of)[- ]?)?${MONTH}(?:\s+(?:of\s+)?\d{3,4})?|${MONTH}\s+\d{3,4}|(?:[Ee]arly|[Ll]ate|[Mm]id)[- ]${MONTH}`, 'gu'),
  pattern('date', 0.95, String.raw`(?:in|by|around|since|until|about|from|before|after)\s+(?:(?:the year )?(?:AD|CE|BC|BCE)\s?\d{1,4}|(?:the year )?\d{1,4}\s(?:AD|CE|BC|BCE))`),
  pattern('date', 0.95, String.raw`(?:in|by|around|since|until|about|from|before|after)\s+(?:the (?:year|spring|summer|autumn|winter) (?:of )?)?(?:1\d|20|[5-9])\d{2}(?:\s+(?:BC|AD|BCE|CE))?|(?:in|during|by|since)\s+(?:the\s+)?(?:early |late |mid-?)?(?:1\d|20)\d0s|(?:in|by|during|since|around|throughout)\s+the\s+(?:early |late |mid-?)?(?:\w+teenth|twentieth|twenty-first|${COUNTED}|\d{1,2}(?:st|nd|rd|th))[- ]century(?:\s+(?:BC|AD|BCE|CE))?`),
  pattern('date', 0.95, String.raw`(?:(?:in|during|by|since|at the end of|before)\s+)(?:the\s+)?(?:last |early |late |great )?(?:ice age|stone age|bronze age|iron age|middle ages|dark ages|renaissance|(?:\p{L}+ )?(?:era|times)|\p{L}+ (?:war|period|age|revolution))(?=[,\s.])`),
  pattern('season', 0.9, String.raw`${LED}?(?:${PICK}|an?\s+)?${ADJECTIVE}${SEASON}(?:\s+(?:of\s+)?\d{3,4})?(?=\s*(?:[,.;:!?]|$)|\s+(?:the|a|an|when|and|came|was|had|of|he|she|it|they|we|i|that|every|all|not|after|before|no|his|her|their|in|on|at|\p{Lu}))`),
  // The next day; three days; on the third day; the following week; that year.
  pattern('day', 0.95, String.raw`(?:(?:on|in|by|during)\s+)?(?:the (?:very )?(?:next|following)|the same|that same|that very|the ${ORDINAL}|this)\s+(?:days?|weeks?|months?|years?|weekend|market day|lesson|hour|half|stage|act|session|semester|term)(?:\s+after(?: that)?)?|the (?:day|night|evening|morning|week|month|year) (?:before|after)(?: that)?`),
  pattern('day', 0.9, String.raw`(?:last|next|this|that) (?:week|weekend|month|year|decade|century)|on the (?:day|morning|evening|night|eve|anniversary) of (?:the |his |her |their |its )?(?:\p{L}+ ){0,2}\p{L}+`),
  pattern('elapsed', 0.9, String.raw`for ${NUMBER} (?:days|nights) and (?:${NUMBER} )?(?:days|nights)`),
  pattern('season', 0.9, String.raw`(?:(?:in|last|this|next|during|every|by) (?:the )?|(?:early|late) )fall(?=[\s,.])`),
  pattern('day', 0.85, String.raw`(?:one|another|some|that) (?:(?:fine|cold|sunny|rainy|hot|grey|gray|warm|windy|stormy|ordinary|particular|such|market|summer's|winter's)\s+)?(?:day|week|weekend|year|market day)|at (?:the )?(?:weekend|christmas|easter|new year)|on (?:christmas|new year['’]s|market|wash) (?:eve|day)|over the weekend|by the weekend`),
  pattern('elapsed', 0.85, String.raw`later (?:that|the same|in the|on that) (?:day|night|evening|afternoon|morning|week|month|year)|(?:the )?(?:next|following) (?:time|lesson)|(?:much|long|a little|some time|sometime|a while|not long|shortly|soon) (?:later|after(?:wards)?)|later(?=,)|afterwards(?=[,\s])|meanwhile|in the meantime|at the same time|by then|eventually|at last|until now`),
  pattern('elapsed', 0.8, String.raw`(?:after|before|during) (?:the )?${DAY_MEAL}|before (?:you|he|she|they|we|i|the \w+) go(?:es)? to (?:bed|sleep)|(?:at|over) (?:breakfast|lunch|supper|dinner|tea)`),
  pattern('vague', 0.8, TODAY),
  pattern('vague', 0.55, String.raw`now(?=,)|once upon a time|long ago|once(?=,)|in those days|in the old days|at that time|for a long time`),
  pattern('elapsed', 0.7, String.raw`when (?:the sun|the moon|day|night|morning|evening|darkness|winter|spring|summer|autumn|dawn|dusk) (?:rose|set|came|broke|fell|went down|came up|had (?:risen|set|fallen|come)|rises|sets|comes|breaks|falls|goes down|comes up)`),
]
/** A bare time of day stands for a moment at the head of a sentence, or after “it is”. */
const BARE = new RegExp(String.raw`^(?:${DAYPART}|${SEASON}|${WEEKDAY}|${TODAY}|Midday|(?:${NUMBER} (?:o['’]clock|in the (?:morning|afternoon|evening)|at night|a\.?m\.?|p\.?m\.?)))(?:\s+(?:in|of)\s+(?:${MONTH}|${SEASON}))?(?![\p{L}’'-])`, 'iu')
const IT_IS = new RegExp(String.raw`(?<![\p{L}])it (?:was|is|had been|must have been|grew|got) (?:already |almost |just |nearly |long |still |now |only |well |about |a little )?((?:past |after |before |towards? )?(?:an?\s+|the\s+)?${ADJECTIVE}(?:${DAYPART}|${SEASON}|${WEEKDAY}(?: ${DAYPART})?|dark|${NUMBER} o['’]clock|(?:the )?(?:beginning|middle|end|start|height) of (?:the )?(?:${MONTH}|${SEASON}|${DAYPART})|(?:the )?\d{1,2}(?:st|nd|rd|th) of ${MONTH}|${MONTH}))(?:\s+(?:in|of)\s+(?:${MONTH}|${SEASON}))?(?![\p{L}])`, 'giu')
const CAME = new RegExp(String.raw`(?<![\p{L}])(${DAYPART}|${SEASON}|${WEEKDAY}) (?:came|comes|fell|falls|broke|breaks|was (?:falling|coming|breaking|near)|is (?:falling|coming|breaking)|had (?:come|fallen|broken)|arrived|arrives|passed|turned)(?![\p{L}])`, 'giu')
const SUN = /(?<![\p{L}])(?:the |a )?(?:low |pale |red )?sun (?:was |is |had |has )?(?:already |almost |just )?(?:(?:going|gone|went|goes) down|set(?:s|ting)?|sank|sinks|sinking|(?:rose|rises|rising|risen|came up|comes up|coming up))(?![\p{L}])/giu
const HEAD_CLOCK = new RegExp(String.raw`^(?:[Aa]t|[Bb]y|[Aa]round|[Ff]rom)\s+(?:one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)(?=,|\s+(?:the|an?|he|she|they|we|i|it|his|her|their|every|all|\p{Lu}\p{Ll}+)\b)`, 'u')

/** A line that sets a scene and says nothing else: “The yard, morning.” “EXT. BRIDGE – NIGHT” */
const SLUG = new RegExp(String.raw`^[^.!?;:]{2,60}?(?:,|\s[–—-])\s+((?:later(?: that (?:day|night|evening))?|the next (?:day|morning|evening)|${DAYPART}|${SEASON}|${WEEKDAY}(?: ${DAYPART})?))[.:!]?$`, 'iu')
const MID_CLOCK = /(?<![\p{L}])at (?:one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)(?=[,.;](?:\s|$))/giu
const HABITUAL = /(?<![\p{L}])(?:every|each|always|usually|nights|mornings|evenings|afternoons|Mondays|Tuesdays|Wednesdays|Thursdays|Fridays|Saturdays|Sundays)(?![\p{L}])/iu
/** Spans that end at a time, not scenes set in one. */
const LIMITS = /^(?:until|till|since|before|from)\b/iu
const LEADS = /^(?:(?:just|shortly|soon|right|long|well|late|early|deep|all|almost|about|nearly|exactly|barely|only)\s+(?=in\b|on\b|at\b|through|before|after))?(?:in the middle of|at the (?:end|beginning) of|in|on|at|by|during|around|about|towards|toward|through|throughout|from|since|until|till|for|within)\s+(?=\S)/iu
const ARTICLE = /^(?:the|a|an|this|that|one|that same|the same)\s+(?=\S)/iu

/** The words of a moment as a label: less the preposition and the article. */
export function momentText(said: string): string {
  const bare = said.replace(/\s+/g, ' ').replace(LEADS, '')
  if (/^(?:an?|one|that|the same)\s+(?:\w+\s+)?(?:hours?|days?|weeks?|months?|years?|seconds?|minutes?|moments?|while|fortnight|decades?|century)\b/iu.test(bare)) return bare
  return bare.replace(ARTICLE, '').replace(/^same\s+/i, '')
}

/** Joins what stands side by side: “at dawn” and “on Monday”, “one night in November”. */
function joined(said: string, list: MomentMention[]): MomentMention[] {
  const found: MomentMention[] = []
  for (const mention of list.sort((a, b) => a.start - b.start)) {
    const last = found.at(-1)
    if (last && /^[\s,]*(?:(?:in|on|of|at)\s+)?(?:the\s+)?$/iu.test(said.slice(last.end, mention.start)) && mention.start - last.end < 10 && last.kind !== 'elapsed') {
      last.end = mention.end
      last.moves = Math.max(last.moves, mention.moves)
      last.text = momentText(said.slice(last.start, last.end))
    } else found.push(mention)
  }
  return found
}

/** “From morning to night”, “day and night”: all the time. */
const SPAN = /^(?:from )?(?:morning|dawn|day|night|sunrise|noon)s? (?:to|till|until|and|after) (?:morning|dusk|day|night|sunset|evening|noon)/iu
/** Words that make a time the object of thought or of a thing, not when it happens. */
const NOT_WHEN = /(?:\b(?:of|about|like|than|for|per|last|dream\w*|remember\w*)|['’]s)\s+(?:the\s+)?$/iu

/**
 * Times in a sentence told by the story, in order; offsets into `said`. Speech is to be blanked out beforehand, since
 * what people say of times does not date the scene.
 */
export function momentsIn(said: string): MomentMention[] {
  const found: MomentMention[] = []
  const opening = /^[^\p{L}\p{N}]*/u.exec(said)?.[0].length ?? 0
  const free = (start: number, end: number) => found.every((other) => other.end <= start || other.start >= end)
  const add = (start: number, end: number, kind: MomentKind, moves: number) => {
    const words = said.slice(start, end)
    if (!words.trim() || !free(start, end)) return
    const trimmed = end - (words.length - words.trimEnd().length)
    const habitual = HABITUAL.test(said.slice(Math.max(0, start - 12), end))
    const limit = LIMITS.test(words) && start > opening
    found.push({ start, end: trimmed, kind, text: momentText(said.slice(start, trimmed)), moves: limit ? moves * 0.5 : moves, habitual, limit })
  }
  const bare = BARE.exec(said.slice(opening))
  if (bare && !/^\s+(?:and|or)\b/i.test(said.slice(opening + bare[0].length))) add(opening, opening + bare[0].length, 'daypart', 0.9)
  for (const { kind, moves, form } of PATTERNS)
    for (const match of said.matchAll(form)) if (!NOT_WHEN.test(said.slice(0, match.index)) && !SPAN.test(said.slice(match.index)) && !(/^for\b/i.test(match[0]) && match.index > opening)) add(match.index, match.index + match[0].length, kind, moves)
  for (const match of said.matchAll(IT_IS)) add(match.index + match[0].indexOf(match[1]!), match.index + match[0].length, 'daypart', 0.85)
  for (const match of said.matchAll(CAME)) add(match.index, match.index + match[1]!.length, 'daypart', 0.8)
  for (const match of said.matchAll(MID_CLOCK)) add(match.index, match.index + match[0].length, 'clock', 0.5)
  const slug = SLUG.exec(said.trimEnd())
  if (slug) add(slug.index + slug[0].lastIndexOf(slug[1]!), slug.index + slug[0].lastIndexOf(slug[1]!) + slug[1]!.length, 'daypart', 0.85)
  const clock = HEAD_CLOCK.exec(said.slice(opening))
  if (clock) add(opening, opening + clock[0].length, 'clock', 0.6)
  for (const match of said.matchAll(SUN)) {
    if (!free(match.index, match.index + match[0].length)) continue
    found.push({ start: match.index, end: match.index + match[0].length, kind: 'daypart', text: /ris|rose|up/i.test(match[0]) ? 'sunrise' : 'sunset', moves: 0.25, habitual: false, limit: false })
  }
  return joined(said, found)
}
