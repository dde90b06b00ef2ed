import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { History } from '../../../app/stores/history'

describe('history', () => {
  it('undoes and redoes any run of edits to the same digits', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(3), fc.double({ noNaN: true })), { maxLength: 30 }), edits => {
        const history = new History({ list: [0, 0, 0, 0] })
        const states = [history.present]
        for (const [i, v] of edits)
          if (
            history.edit('set', d => {
              d.list[i] = v
            })
          )
            states.push(history.present)
        for (const state of states.slice(0, -1).reverse()) {
          history.undo()
          expect(history.present).toEqual(state)
        }
        expect(history.undo()).toBeNull()
        for (const state of states.slice(1)) {
          history.redo()
          expect(history.present).toEqual(state)
        }
      }),
    )
  })

  it('joins quick edits of one kind, and forgets what was undone after a new edit', () => {
    const history = new History({ x: 0 })
    history.edit(
      'move',
      d => {
        d.x = 1
      },
      'move',
      1000,
    )
    history.edit(
      'move',
      d => {
        d.x = 2
      },
      'move',
      1300,
    )
    history.edit(
      'move',
      d => {
        d.x = 3
      },
      'move',
      9000,
    )
    expect(history.undo()).toBe('move')
    expect(history.present.x).toBe(2)
    history.edit('turn', d => {
      d.x = 7
    })
    expect([history.canRedo, history.undoLabel]).toEqual([false, 'turn'])
    history.undo()
    history.undo()
    expect([history.present.x, history.canUndo]).toEqual([0, false])
  })

  it('notes nothing when nothing changes', () => {
    const history = new History({ x: 1 })
    expect(
      history.edit('same', d => {
        d.x = 1
      }),
    ).toBe(false)
    expect(history.canUndo).toBe(false)
  })
})
