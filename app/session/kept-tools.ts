/** Under this name the browser keeps which tools somebody compares for each trip. */
export const toolsKeptAs = 'rag-tin.candidates'

export const forgetKeptTools = () => localStorage.removeItem(toolsKeptAs)
