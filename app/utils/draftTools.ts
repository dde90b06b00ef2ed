import { Circle, Eraser, Link2, MousePointer2, Paintbrush, PenTool, Scissors, Square } from '@lucide/vue'

/** What a press on the sheet does; their keys are single letters while the sheet has the focus. */
export const DRAFT_TOOLS = {
  select: { words: 'Choose and move points', key: 'v', icon: MousePointer2 },
  cut: { words: 'Cut away with a brush', key: 'b', icon: Paintbrush },
  fill: { words: 'Fill with a brush', key: 'e', icon: Eraser },
  apart: { words: 'Cut apart: drag a bridge across', key: 'a', icon: Scissors },
  join: { words: 'Join: drag from one opening to another', key: 'j', icon: Link2 },
  circle: { words: 'Add a circle: drag from its middle', key: 'c', icon: Circle },
  rectangle: { words: 'Add a rectangle', key: 'r', icon: Square },
  path: { words: 'Add a path: press its points, Enter closes it', key: 'p', icon: PenTool },
} as const

export type DraftTool = keyof typeof DRAFT_TOOLS | 'line'
