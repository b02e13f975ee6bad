import { ENGINES } from './engines'
import { answerFrom } from './talk'

answerFrom(ENGINES)
