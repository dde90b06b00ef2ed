/** The bench with a look of a few steps. */
export const BENCH = ['the bench', '/looks/plain-midnight-moth'] as const

/** The other screens of the application, and where they are. */
export const SCREENS: readonly (readonly [string, string])[] = [
  ['the gallery', '/'],
  ['the drawer', '/drawer'],
  ['a stencil', '/drawer/scales'],
  ['from a photograph', '/drawer/photo'],
  ['drawing a stencil', '/drawer/draw'],
  ['the kit', '/kit'],
  ['the log', '/log'],
  ['the settings', '/settings'],
  ['the step list', '/looks/plain-midnight-moth/steps'],
  ['the chair', '/looks/plain-midnight-moth/chair'],
  ['the tries', '/looks/demo-ember-wing/tries'],
]
