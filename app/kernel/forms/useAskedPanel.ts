/** The form that a key asked for, by its name; the panel that holds it opens, with the cursor in its first field. One for the whole page. */
const asked = ref<string>()
export const useAskedPanel = () => ({ asked })
