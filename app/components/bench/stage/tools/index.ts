import { choosingTool } from './choosing'
import { drawingTool } from './drawing'
import { focusTool } from './focus'
import { gradientTool } from './gradient'
import { halfTurnTool } from './halfTurn'
import { landmarkTool } from './landmarks'
import { loopTool } from './loops'
import { markHandleTool } from './markHandles'
import { panTool } from './pan'
import { pickingTool } from './picking'
import { sheetHandleTool } from './sheetHandles'
import { stepTool } from './steps'
import { tapeTool } from './tape'
import type { StageHand, Tool } from './tool'

export type { Ghosts, Grip, StageHand, Tool, Touch } from './tool'

/**
 * What the hand can do on the stage; a press goes to the first that takes it. Another tool is one line here.
 */
const TOOLS: readonly ((hand: StageHand) => Tool)[] = [
  landmarkTool,
  tapeTool,
  choosingTool,
  drawingTool,
  pickingTool,
  gradientTool,
  loopTool,
  halfTurnTool,
  sheetHandleTool,
  markHandleTool,
  focusTool,
  stepTool,
  panTool,
]

export const toolsOf = (hand: StageHand): Tool[] => TOOLS.map(make => make(hand))
