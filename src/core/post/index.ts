export { STARTERS } from './starters';
export { isMeant, type Addressee, type Audience } from './audience';
export { afterQuiet, type QuietHours } from './quiet';
export { messageReminder, sessionReminders, type MessageFacts, type Reminder } from './reminders';
export { isFinal, nextTry } from './tries';
