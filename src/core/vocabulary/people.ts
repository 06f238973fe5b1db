/** What members may do, each role all of those after it. */
export const ROLES = ['technician', 'teacher', 'student', 'visitor'] as const;
export type Role = (typeof ROLES)[number];

/** How long a password is, characters. */
export const PASSWORD_LENGTH = { least: 10, most: 200 } as const;

/** What somebody is called whose work stays and whose name goes. */
export const FORMER_MEMBER = 'a former member';
