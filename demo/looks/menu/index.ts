import type { Look } from '../../../core/look'
import { duskFox, marshTiger } from './animals'
import { eelTries } from './eelTries'
import { bonfireCrest, boneLantern, fenLizard, quayRose, silverEel, taleHorse } from './stall'
import { frostPane, heatherWing, nightHarbour, thornCrown } from './fancy'

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
