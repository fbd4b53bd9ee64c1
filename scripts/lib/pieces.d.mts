export function pieceOf(id: string): string | undefined
