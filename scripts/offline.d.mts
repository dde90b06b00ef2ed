export function bundleOffline(publicDir: string, outfile: string): Promise<void>
export function scriptsOf(
  manifest: Record<string, { file: string; src?: string; imports?: string[] }>,
  page: string,
): string[]
