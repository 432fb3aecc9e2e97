// One of several processes among which the pages are shared out: it is given jobs and answers with what was measured.
import { createScoring, type Job } from './score-page.js'

const [practice, results, target, shots] = process.argv.slice(2)
if (practice === undefined || results === undefined || target === undefined) {
  throw new Error('two folders and a target are needed')
}
const scoring = await createScoring(practice, results, target, shots === 'shots')

process.on('message', (job: Job | 'end') => {
  if (job === 'end') {
    void scoring.close().then(() => process.disconnect())
    return
  }
  void scoring.run(job).then((run) => process.send?.(run))
})
process.send?.('ready')
