import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { MM_PER_INCH } from '#core/geometry'
import { FINGER_MM } from '#core/look'
import { LIGHT_IDS, type LightId } from '#core/paint'
import { useKit } from './kit'
import { dryingFactor, USUAL_ROOM, type Room } from '#core/order'

/** Money that painters are paid in, ISO 4217; others would be a line more here. */
export const CURRENCIES = [
  'EUR',
  'GBP',
  'USD',
  'CAD',
  'AUD',
  'NZD',
  'CHF',
  'SEK',
  'NOK',
  'DKK',
  'PLN',
  'CZK',
  'JPY',
] as const

/** What the painter has set once, on this device. */
export const useSettings = defineStore('settings', () => {
  const guides = useLocalStorage('janusform-guides', true)
  const ruler = useLocalStorage('janusform-ruler', true)
  const inches = useLocalStorage('janusform-inches', false)
  /** Width of the painter's finger, mm, and whether it was measured. */
  const finger = useLocalStorage('janusform-finger', FINGER_MM)
  const fingerMeasured = useLocalStorage('janusform-finger-measured', false)
  /** Whether new strokes off the midline get a twin from the start; off for one-sided looks. */
  const twinNew = useLocalStorage('janusform-twin-new', true)
  /** Whether sheets that are moved go to features and to the rims of other prints. */
  const snap = useLocalStorage('janusform-snap', true)
  /** Under which light the stage shows looks. */
  const light = useLocalStorage<LightId>('janusform-light', 'lamp')
  if (!LIGHT_IDS.includes(light.value)) light.value = 'lamp'
  /** The room in which people are painted: how long films take to dry. */
  const room = useLocalStorage<Room>('janusform-room', { ...USUAL_ROOM })
  /** The room as the house knows it, where another device has set it. */
  async function readRoom(): Promise<void> {
    const kept = await $fetch<Room | null>('/api/settings/room').catch(() => null)
    if (kept) room.value = kept
  }
  /** Sets the room, on this device and for the house. */
  async function setRoom(next: Room): Promise<void> {
    room.value = next
    try {
      await $fetch('/api/settings/room', { method: 'PUT', body: next })
      await useKit().readAgain()
    } catch {
      // While the server is away the room counts on this device alone.
      useKit().dryAs(dryingFactor(next))
    }
  }
  /** The currency in which prices are typed, ISO 4217. */
  const currency = useLocalStorage<(typeof CURRENCIES)[number]>('janusform-currency', 'EUR')
  /** An amount of money in the painter's currency, as their language writes it. */
  const money = (amount: number): string =>
    new Intl.NumberFormat(undefined, { style: 'currency', currency: currency.value }).format(amount)
  /** Whether single letters do something on the bench. */
  const letterKeys = useLocalStorage('janusform-letter-keys', true)
  /** Letters that were given in place of the usual ones. */
  const ownKeys = useLocalStorage<Record<string, string>>('janusform-own-keys', {})
  const grid = useLocalStorage('janusform-grid', false)
  const lift = useLocalStorage('janusform-lift', false)
  /** A length in the chosen unit, with it. */
  const length = (mm: number, digits = 0): string =>
    inches.value ? `${(mm / MM_PER_INCH).toFixed(2)} in` : `${mm.toFixed(digits)} mm`
  /** A sheet's size in the chosen unit. */
  const size = (w: number, h: number): string =>
    inches.value
      ? `${(w / MM_PER_INCH).toFixed(1)} × ${(h / MM_PER_INCH).toFixed(1)} in`
      : `${Math.round(w)} × ${Math.round(h)} mm`
  return {
    guides,
    light,
    ruler,
    inches,
    finger,
    fingerMeasured,
    twinNew,
    snap,
    room,
    readRoom,
    setRoom,
    currency,
    money,
    grid,
    letterKeys,
    ownKeys,
    lift,
    length,
    size,
  }
})
