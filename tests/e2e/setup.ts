import { houseOf } from '../houses'

/** Seeds the houses of the run before its workers ask for them at once. */
export default function setup(): void {
  houseOf('looks')
  houseOf('demo')
}
