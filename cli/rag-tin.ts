import { answerTo } from './commands'

const { status, stdout, stderr } = await answerTo(process.argv.slice(2))
process.stdout.write(stdout)
process.stderr.write(stderr)
process.exitCode = status
