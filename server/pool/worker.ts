import { jobs } from './jobs'

/** A worker thread of the pool: one exported function for each job. */
export const {
  picture,
  card,
  habits,
  lookSvg,
  readLook,
  readSent,
  readSheet,
  readRuns,
  measureSheet,
  drawSheet,
  cut,
  ladder,
  writeBackup,
  readBackup,
  findDamage,
  demoThings,
} = jobs
