export type BenchSheet = 'reading' | 'fault' | 'temperature' | 'photograph' | 'find'

/** Which of the sheets at the bench is open; one for the whole page. */
const open = ref<BenchSheet>()
export const useBenchSheets = () => ({ open })
