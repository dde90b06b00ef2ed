// Has a general solver find the best order of every work of the tests, and keeps its answers: npm run solve
import { writeFileSync } from 'node:fs'
import { ANSWERS, digestOf, shortWorks, wholeWorks, type Answers } from '../tests/solved'
import { solver } from '../tests/solver'

const solve = await solver()
const found: Answers = {}
for (const one of [...wholeWorks(), ...shortWorks()])
  found[one.name] = { digest: digestOf(one), solved: solve(one.work, one.budget) }
writeFileSync(ANSWERS, `${JSON.stringify(found, null, 1)}\n`)
console.log(`${Object.keys(found).length} answers`)
