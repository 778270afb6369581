const VOWEL = /^[aeiou]/i
/** Words whose first sound is not what their first letter says. */
const SOUNDS_LIKE_CONSONANT = /^(?:uni(?!n)|use|usual|euro|ewe|one\b|once)/i
const SOUNDS_LIKE_VOWEL = /^(?:hour|honest|heir|honou?r|8|1[18](?!\d)|[fhlmnrsx](?:[-\d]|$))/i

/** “a” or “an”, as the next word sounds. */
export const articleFor = (word: string): 'a' | 'an' => ((VOWEL.test(word) && !SOUNDS_LIKE_CONSONANT.test(word)) || SOUNDS_LIKE_VOWEL.test(word) ? 'an' : 'a')
