/** Words by which a story tells who is there. Lower case. */
export const SPEECH = /^(?:said|says|say|asked|asks|answered|answers|replied|replies|whispered|whispers|shouted|shouts|cried|cries|called|calls|murmured|muttered|laughed|told|tells|sang|sings|spoke|speaks|warned|announced|explained|declared|begged|sighed|added|insisted|promised|yelled|grumbled|growled|hissed|croaked|squeaked|roared|thought|wondered|agreed|admitted|complained|demanded|exclaimed|giggled|grinned|nodded|ordered|pleaded|repeated|suggested|interrupted|continued|began|winked|smiled)$/
export const ABSENT_AFTER = new Set('like as than about from without despite except concerning whether if'.split(' '))
/** For whom something is only meant. */
export const MEANT_FOR = /^(?:wait\w*|long\w*|look\w*|search\w*|ask\w*|hope\w*|pray\w*|sent|sends?|call\w*|grieve\w*|mourn\w*|wish\w*|yearn\w*|written|wrote|known?|famous|old|money|letter)$/
export const GENERIC = /^(?:man|woman|boy|girl|child|lady|gentleman|fellow|lad|lass|youth|stranger|kid|creature|animal|beast|bird|visitor|guest|friend|companion|couple|pair|twins|siblings|brothers|sisters|children|men|women|boys|girls|friends|animals|creatures|birds)$/
export const DISTINCT = /^(?:first|second|third|fourth|fifth|sixth|eldest|oldest|youngest|elder|younger|middle|other|another|new|next|last)$/
export const SUBORDINATE = /^(?:since|because|that|which|who|whom|whose|whether|if|unless|although|though)$/
export const NAMED = /^(?:named|called)$/
/** Counts or gathers those who are named after “of”: “a column of soldiers”. */
export const GATHERS = /^(?:pair|couple|group|column|line|row|circle|ring|handful|dozens?|scores?|hundreds|thousands|number|bunch|band|procession|queue|knot|trio|half|most|crowd|team|crew|party|gang|troop|squad|class|army|swarm|flock|herd|pack|family|company|delegation|jury|committee|choir|orchestra|horde|throng|mob|cluster|batch|generation)$/
/** Boys, girls and children. */
export const YOUNG = /^(?:child|children|boys?|girls?|kids?|brothers?|sisters?|twins?|siblings)$/
/** Where or what of somebody it is who is there: “ahead of Grace”, “the stomach of a boy”. */
export const BESIDE = /^(?:ahead|front|side|middle|midst|behind|hold|sight|presence|company|feet|back|hands?|arms?|shoulders?|heads?|face|eyes?|stomach|heart|chest|neck|hair|leg|knees?|lap|top|both|all|one|two|three|four|some|many|each|none|rest|last|first|mother|father|voice|body|fingers?|mouth|paws?|wings?|tail)$/
/** “In front of the class”: where somebody is by others. */
export const BY = /^(?:front|midst|presence|sight|middle)$/
/** What belongs to somebody's body. */
export const PART = /^(?:feet|foot|back|hands?|arms?|shoulders?|heads?|face|eyes?|stomach|heart|chest|neck|hair|legs?|knees?|lap|voice|body|fingers?|mouth|lips|ears?|nose|paws?|wings?|tail|fur|beak|beard|cheeks?|footsteps|breath|laugh|laughter|smile)$/
/** Before whom it says that they are there: “Deep inside sat a creature.” */
export const STANDS = /^(?:sat|sits|stood|stands|lay|lies|hung|hangs|waited|waits|came|comes|lived|lives|crouched|crouches|appeared|appears|perched|slept|sleeps|knelt|kneels|walked|walks|rode|rides|emerged|emerges|floated|flew|rose|went|goes|ran|runs|swam|stepped)$/
/** Of a vessel people say “she”. */
export const VESSEL = /^(?:ships?|boats?|trawler|ferry|vessel|schooner|yacht|barge|liner|frigate|submarine|steamer|sloop|brig|galleon|dinghy|tanker|freighter|lifeboat)$/
export const BE = /^(?:is|was|are|were|be|been|became|becomes|remained)$/
/** What tells an old woman from a young one. */
export const AGED = /^(?:old|elderly|aged|young|little|small)$/
