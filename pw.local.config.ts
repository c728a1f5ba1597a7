import base from './playwright.config'
const flags = process.env.FLAGS ?? ''
export default { ...base, testDir: 'tests/e2e', use: { ...base.use, launchOptions: { ...base.use?.launchOptions, args: [...(base.use?.launchOptions?.args ?? []), ...(flags ? [`--js-flags=${flags}`] : [])] } } }
