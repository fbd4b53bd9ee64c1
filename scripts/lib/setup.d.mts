import type { ChildProcess, SpawnOptions } from 'node:child_process'

export const root: string
export function run(program: string, args: string[], options?: SpawnOptions): Promise<number>
export function must(program: string, args: string[], options?: SpawnOptions): Promise<void>
export function installed(): Promise<void>
export function built(): Promise<void>
export function giveUp(...lines: string[]): never
export function sessionSecret(dataFolder: string): string
export function portFree(port: number | string, host: string): Promise<void>
export function serve(
  dataFolder: string,
  where: { port: number | string; host: string; stdio?: SpawnOptions['stdio']; env?: Record<string, string> },
): ChildProcess
export function answering(child: ChildProcess, address: string, seconds?: number): Promise<void>
export function endTogether(child: ChildProcess): void
