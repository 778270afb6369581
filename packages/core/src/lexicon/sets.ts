import type { Sets } from './term.ts'

/** Words that terms of the tables stand for together, written `{name}` there. */
export const SETS: Sets = {
  flame: 'candle fire lantern torch match flame hearth lamp taper firelight candlelight rushlight',
  worked: 'make carve cast hew forge cut weave knit build fold blow sew hammer mould chisel fashion construct',
  metal: 'steel iron brass bronze copper tin pewter silver gold aluminium chrome lead',
  hair: 'hair curl lock braid plait ponytail tress mane fringe',
  worn: 'wear don sport in',
  vivid: 'vivid vibrant saturated bright brilliant garish neon candy lurid psychedelic jewel riotous bold intense loud blazing electric clashing',
  public: `street square beach room hall platform station plaza market road carriage theatre stadium park corridor ballroom church nave chapel classroom office restaurant café cafe bar pub shop gallery museum library house village town city courtyard quay pier harbour playground pool
    stage auditorium arena canteen kitchen factory tram train bus deck promenade avenue alley bridge terminal airport lobby floor fairground bench seat pew table marketplace tribune mall lane pavement compartment ferry waiting`,
  waters: 'waterfall river stream lake fountain canal pond sea bay harbour brook puddle ocean creek inlet reservoir fjord',
}
