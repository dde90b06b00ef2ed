export function bundleWorker(outfile: string): Promise<void>
export function workerOfSources(): Promise<string>
export function digestOfCore(): string
