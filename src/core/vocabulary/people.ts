/** What members may do, each role all of those after it. */
export const ROLES = ['technician', 'teacher', 'student', 'visitor'] as const;
export type Role = (typeof ROLES)[number];
