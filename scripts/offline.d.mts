export function bundleOffline(publicDir: string, outfile: string): Promise<void>
