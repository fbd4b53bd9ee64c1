export function bundleWorkers(into: string): Promise<unknown>
