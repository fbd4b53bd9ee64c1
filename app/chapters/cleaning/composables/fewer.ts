/** Whether what was typed is a count, and less than went out. */
export const fewer = (typed: unknown, out: number): boolean => String(typed ?? '').trim() !== '' && Number(typed) < out
