export { type About, addReminder, type Reminder, remindersOf, setReminderDone } from './reminders';
