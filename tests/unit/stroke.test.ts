import { describe, expect, it } from 'vitest'
import { param, SHAPE_IDS, shapeOf, stroke, usualParams, valuesOf } from '#core/stroke'

const WIDTH = param('width', 'width', 'mm', 1, 10, 1, 4)

describe('the numbers of a stroke', () => {
  it('are known by the names of their descriptors: a misspelt one does not compile', () => {
    const values = valuesOf([WIDTH], { width: 3 })
    expect(values.width).toBe(3)
    // @ts-expect-error there is no number of that name
    expect(values.widht).toBeUndefined()
    const shape = stroke({
      ...shapeOf('line'),
      params: [WIDTH],
      // @ts-expect-error a shape draws only from the numbers that it describes
      draw: (handles, value) => [{ points: handles, widths: [value.press] }],
    })
    expect(shape.draw([[0, 0]], { width: 2 }, 'round2')[0]!.widths).toEqual([undefined])
  })

  it('are as usual where a look does not say', () => {
    expect(valuesOf([WIDTH], {}).width).toBe(4)
    for (const id of SHAPE_IDS) {
      const { params } = shapeOf(id)
      expect(valuesOf(params, {})).toEqual(usualParams(params))
    }
  })
})
