import { met, MIXES, staysAfter, wetBlend, type FilmState, type Optics } from '../paint'
import { inkOver, inkThick, stepOf, type Ink, type Inks } from './inks'

/** The inks of a film, with the most that it may measure, swatch films. */
export interface FilmInks {
  readonly inks: Inks
  readonly most: number
}

/** Inks of one film are told apart by so many numbers. */
const INKS = 128

/** The film on top of each pixel of a picture, as long as it may still be wet when something is laid on it. */
export class WetFilms {
  /** Which film and which of its inks lies on top; 0 for none that could mix. */
  readonly top: Int32Array
  /** Its thickness, swatch films. */
  readonly thick: Float32Array
  /** Reflectance beneath it, three linear values a pixel. */
  readonly below: Float32Array
  private readonly known = new Map<number, { readonly stepId: string; readonly film: FilmInks }>()
  private last = 0

  constructor(pixels: number) {
    this.top = new Int32Array(pixels)
    this.thick = new Float32Array(pixels)
    this.below = new Float32Array(3 * pixels)
  }

  /** A number for a film that is going to be laid. */
  next(): number {
    return ++this.last
  }
  note(film: number, stepId: string, inks: FilmInks): void {
    this.known.set(film, { stepId, film: inks })
  }
  forget(film: number): void {
    this.known.delete(film)
  }
  /** The step that laid what a pixel's number names. */
  stepOf(code: number): string | undefined {
    return this.known.get(Math.floor(code / INKS))?.stepId
  }
  inkOf(code: number): Ink | undefined {
    return this.known.get(Math.floor(code / INKS))?.film.inks.list[code % INKS]
  }
}

/** What a film finds that it is laid on: which steps beneath are not dry, and how it takes them up. */
export interface Meeting {
  readonly wet: WetFilms
  /** The number of the film that is laid. */
  readonly film: number
  readonly stepId: string
  readonly states: ReadonlyMap<string, FilmState>
}

/** Shares of a mixture are told apart in so many steps. */
const SHARES = 16

/** Lays one film, pixel by pixel, on what may still be wet, and notes it as the film on top. */
export class LaidOnWet {
  /** Reflectance of the pixel that was laid last, three linear values. */
  readonly over = new Float64Array(3)
  private readonly mixes: Float64Array
  private readonly stays: Float64Array
  private readonly mixtures = new Map<number, Ink>()
  /** What lay on the last pixel: neighbours mostly lie on the same. */
  private code = -1
  private state: FilmState = 'dry'
  private under: Ink | undefined

  constructor(
    private readonly meeting: Meeting,
    private readonly inks: FilmInks,
    private readonly meets: { readonly dabs: number; readonly takesUp: number } | null,
  ) {
    meeting.wet.note(meeting.film, meeting.stepId, inks)
    const states = ['dry', 'tacky', 'wet'] as const
    this.mixes = Float64Array.from(states, s => (meets ? MIXES[s] : 0))
    this.stays = Float64Array.from(states, s => (meets ? staysAfter(s, meets.dabs, meets.takesUp) : 1))
  }

  /**
   * Lays paint on a pixel.
   * @param p the pixel
   * @param ink the number of its ink
   * @param x thickness, swatch films, 0 or more
   * @param ground what the pixel shows so far, three linear values at 3p
   * @param mostly whether it covers most of the pixel, and so is what lies on top of it from now on
   */
  lay(p: number, ink: number, x: number, ground: Float32Array, mostly: boolean): void {
    // Where a film runs out nothing is laid: what lies there stays as it is, and on top.
    if (x <= 0) {
      for (let b = 0; b < 3; b++) this.over[b] = ground[3 * p + b]!
      return
    }
    const { wet, film } = this.meeting
    const own = this.inks.inks.list[ink]!
    if (wet.top[p] !== this.code) this.look(wet.top[p]!)
    const n = this.state === 'wet' ? 2 : this.state === 'tacky' ? 1 : 0
    const { over } = this
    let thick = x
    if (this.under && this.mixes[n]! > 0) {
      const found = met(wet.thick[p]! * this.stays[n]!, x, this.mixes[n]!)
      const mixture = this.mixture(own, ink, found.share)
      thick = found.mixed
      for (let b = 0; b < 3; b++) {
        const base = filmOn(this.under, found.left, b, wet.below[3 * p + b]!)
        over[b] = filmOn(mixture, thick, b, base)
        if (mostly) wet.below[3 * p + b] = base
      }
    } else {
      for (let b = 0; b < 3; b++) {
        const base = ground[3 * p + b]!
        over[b] = filmOn(own, x, b, base)
        if (mostly) wet.below[3 * p + b] = base
      }
    }
    if (!mostly) return
    wet.thick[p] = thick
    wet.top[p] = this.meets ? film * INKS + ink : 0
  }

  private look(code: number): void {
    const { wet, states } = this.meeting
    const step = code > 0 ? wet.stepOf(code) : undefined
    this.code = code
    this.state = (step && states.get(step)) || 'dry'
    this.under = this.state === 'dry' ? undefined : wet.inkOf(code)
  }

  /** The ink of what lies on top stirred into an own one. */
  private mixture(own: Ink, ink: number, share: number): Ink {
    const n = Math.round(share * SHARES)
    if (n >= SHARES) return own
    const key = (this.code * INKS + ink) * SHARES + n
    let found = this.mixtures.get(key)
    if (!found) {
      const { under } = this
      const optics: Optics = wetBlend(own.optics, under!.optics, 1 - n / SHARES)
      found = inkThick(optics, own, own.most + under!.most)
      this.mixtures.set(key, found)
    }
    return found
  }
}

/** Reflectance of one band of some ink, so many swatch films thick, over a ground. */
const filmOn = ({ table, most }: Ink, x: number, band: number, ground: number): number =>
  inkOver(table, 9 * stepOf(x, most) + 3 * band, ground < 0.99 ? ground : 0.99)
