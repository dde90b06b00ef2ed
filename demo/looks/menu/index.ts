import type { Look } from '../../../core/look'
import { marshTiger } from './marshTiger'
import { boneLantern } from './boneLantern'
import { bonfireCrest } from './bonfireCrest'
import { duskFox } from './duskFox'
import { eelTries } from './eelTries'
import { frostPane } from './frostPane'
import { heatherWing } from './heatherWing'
import { nightHarbour } from './nightHarbour'
import { quayRose } from './quayRose'
import { fenLizard, silverEel } from './stall'
import { taleHorse } from './taleHorse'
import { thornCrown } from './thornCrown'

/** Looks of the menu: made with sponges, parts of sheets, and what follows things. */
export const menu: Look[] = [
  duskFox,
  marshTiger,
  heatherWing,
  nightHarbour,
  thornCrown,
  frostPane,
  bonfireCrest,
  boneLantern,
  silverEel,
  ...eelTries,
  taleHorse,
  fenLizard,
  quayRose,
]
