import { answerFrom } from '../workers/talk'
import { COPIES } from './copies'

answerFrom(COPIES)
