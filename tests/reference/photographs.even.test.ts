import { describe } from 'vitest'
import { photographedHalf } from '../readings'

describe('photographs of demo stencils in three kinds of light on three grounds, the even ones', () =>
  photographedHalf(0))
