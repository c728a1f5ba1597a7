import { upgradeDatabase } from '../../scripts/upgrade'

/** Upgrades a database as a start does, for a test that kills it in the middle. */
const [url = '', folder = ''] = process.argv.slice(2)
await upgradeDatabase(url, folder)
process.exit(0)
