import type { StencilMeta } from '~~/server/db/stencils'

/** The finest detail of a sheet, mm: its narrowest bridge or slot; null while it is not measured. */
export function finestMm({ analysis }: Pick<StencilMeta, 'analysis'>): number | null {
  return analysis ? Math.min(analysis.bridge ?? Infinity, analysis.slot) : null
}

/** The finest detail in words. */
export function finest(sheet: Pick<StencilMeta, 'analysis'>): string {
  const mm = finestMm(sheet)
  return mm === null ? 'not measured' : `${mm.toFixed(1)} mm`
}
