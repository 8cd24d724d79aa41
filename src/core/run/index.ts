export { amountWords, callListOf, callWords, nextWork, stepWords } from './calls';
export {
	beginningAt,
	BODY_AREAS,
	unitsOf,
	withFirstSide,
	type BodyArea,
	type Course,
	type CourseExercise,
	type Step
} from './course';
export { courseOf, insteadOf } from './course-of';
export { ledCourse } from './steps';
export { formsInUse, runLogOf, type RunLog, type Score } from './log';
export { answerAbsence, AWAY, clockShift, openAbsence, rebased, withAbsence, type Absence } from './absence';
export { callsBetween, momentOf, nextChange, type Act, type Heard, type Moment } from './moment';
