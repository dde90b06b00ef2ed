import type { Look } from '../../core/look'
import { kelpCuff, stormKite } from './arms'
import { emberWing } from './ember'
import { emberTries } from './emberTries'
import { snowHare } from './hare'
import { hiveKeeper } from './hive'
import { koiLantern } from './koi'
import { harbourLion } from './lion'
import { menu } from './menu'
import { midnightMoth } from './moth'
import { barnOwl } from './owl'
import { fernStag } from './stag'
import { tideQueen } from './tide'
import { dewWeaver } from './weaver'

/** Looks of the Saltmarsh Lantern Fair. */
export const looks: Look[] = [
  ...menu,
  midnightMoth,
  tideQueen,
  barnOwl,
  emberWing,
  ...emberTries,
  koiLantern,
  hiveKeeper,
  fernStag,
  harbourLion,
  snowHare,
  dewWeaver,
  kelpCuff,
  stormKite,
]
