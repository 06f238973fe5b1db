import { z } from 'zod';
import { idSchema } from '@/features/shared/schema';
import { DECIMAL_MARKS } from '@/core/units';
import { DATE_STYLES, isZone } from '@/core/time';
import { ATMOSPHERES, CONES, FORMS, PASSWORD_LENGTH, ROLES } from '@/core/vocabulary';

/** Roles that an invitation may give; who only looks gets a link to the wall. */
export const INVITED_ROLES = ['student', 'teacher', 'technician'] as const;
/** How many days an invitation may work. */
export const INVITATION_DAYS = [1, 7, 30] as const;

const nameSchema = z.string().trim().min(1, 'Type a name.').max(120, 'At most 120 letters.');
const signInNameSchema = z.string().trim().min(2, 'At least 2 letters.').max(120, 'At most 120 letters.');
/** A password as somebody has it; which new ones will do is said by the records. */
const typedPasswordSchema = z
  .string()
  .min(1, 'Type your password.')
  .max(PASSWORD_LENGTH.most * 2);
const newPasswordSchema = z
  .string()
  .min(PASSWORD_LENGTH.least, `At least ${PASSWORD_LENGTH.least} characters; a short sentence is good.`)
  .max(PASSWORD_LENGTH.most, `At most ${PASSWORD_LENGTH.most} characters.`);
const codeSchema = z.string().trim().min(1, 'Type the code.').max(40, 'At most 40 letters.');
/** 256 random bits as 43 letters, made by the browser. */
export const tokenSchema = z.string().regex(/^[\w-]{43}$/, 'is not a token');

export const signInSchema = z.object({
  signIn: z.string().trim().min(1, 'Type your sign-in name.').max(120),
  password: typedPasswordSchema,
});
export const signInCodeSchema = z.object({ code: codeSchema });
export const joinSchema = z.object({
  name: nameSchema,
  signIn: signInNameSchema,
  password: newPasswordSchema,
});
const prefixSchema = z
  .string()
  .trim()
  .toUpperCase()
  .regex(/^[A-Z]{1,6}$/, 'One to six letters.');
const zoneSchema = z.string().refine(isZone, 'Choose a time zone of the list.').nullable();
export const firstMemberSchema = joinSchema.extend({
  prefix: prefixSchema,
  // That of the browser; a browser that does not say leaves the server's.
  zone: zoneSchema.catch(null),
});
export const newPasswordFormSchema = z.object({ password: newPasswordSchema });

export const invitationSchema = z.object({
  id: idSchema,
  role: z.enum(INVITED_ROLES),
  groupId: idSchema.nullable(),
  makerId: idSchema.nullable(),
  most: z.number('Type a number.').int('A whole number.').min(1, 'At least 1.').max(60, 'At most 60.'),
});
export const inviteSchema = z.object({
  invitation: invitationSchema,
  token: tokenSchema,
  days: z.literal([...INVITATION_DAYS]),
});

export const makerSchema = z.object({ id: idSchema, name: nameSchema, groupId: idSchema.nullable() });
export const personSchema = z.object({ id: idSchema, name: nameSchema, role: z.enum(ROLES) });
export const savePersonSchema = z.object({ person: personSchema, version: z.int() });
export const leaveSchema = z.object({ id: idSchema, isNameKept: z.boolean() });
export const mergeSchema = z.object({ fromId: idSchema, intoId: idSchema });

export const groupSchema = z.object({
  id: idSchema,
  name: nameSchema,
  teacherId: idSchema,
  memberIds: z.array(idSchema).max(400, 'At most 400.'),
  dueOn: z.iso.date('Choose a day.').nullable(),
});
/** As the form has it: blank for no day. */
export const groupFormSchema = groupSchema.extend({
  dueOn: z.literal('').or(z.iso.date('Choose a day.')),
});
export const giveSchema = z.object({
  what: z.enum(['round', 'named_wall']),
  id: idSchema,
  /** The group that gets it, or gives it back. */
  groupId: idSchema,
  isGiven: z.boolean(),
});
export const saveGroupSchema = z.object({ group: groupSchema, version: z.int().nullable() });
export const endGroupSchema = z.object({ id: idSchema, isEnded: z.boolean() });
export const passwordLinkSchema = z.object({ id: idSchema, token: tokenSchema });

export const ownNameSchema = z.object({
  name: nameSchema,
  signIn: signInNameSchema,
  password: typedPasswordSchema,
});
export const ownPasswordSchema = z.object({ password: typedPasswordSchema, next: newPasswordSchema });
export const ownCodeSchema = z.object({ code: codeSchema });
export const confirmSchema = z.object({ password: typedPasswordSchema });

export const unitsSchema = z.object({
  temperature: z.enum(['°C', '°F']),
  length: z.enum(['cm', 'in']),
  mass: z.enum(['g', 'lb']),
  volume: z.enum(['l', 'gal', 'imp gal']),
});
export const hintsSchema = z.object({ seen: z.string().min(1).max(60) }).or(z.object({ isOff: z.boolean() }));
export const chosenUnitsSchema = z.object({ units: unitsSchema.partial().nullable() });
export const studioSchema = z.object({
  name: z.string().trim().max(80, 'At most 80 letters.'),
  units: unitsSchema,
  zone: zoneSchema,
  dates: z.enum(DATE_STYLES),
  decimals: z.enum(DECIMAL_MARKS),
  cones: z.array(z.enum(CONES)),
  atmospheres: z.array(z.enum(ATMOSPHERES)),
  form: z.enum(FORMS).nullable(),
  bodyId: idSchema.nullable(),
  isFactorRequired: z.boolean(),
});
export const seriesSchema = z.object({
  prefix: prefixSchema,
  use: z.enum(['usual', 'rounds', 'chosen']),
  next: z
    .number('Type a number.')
    .int('A whole number.')
    .min(1, 'At least 1.')
    .max(999_999, 'At most 999999.'),
});
export const savedSeriesSchema = z.object({ series: seriesSchema, before: prefixSchema.nullable() });
/** The content hash of the picture that is taken away. */
export const removedLogoSchema = z.object({ hash: z.string().regex(/^[\w-]{43}$/, 'No picture.') });
export const removedSeriesSchema = z.object({ prefix: prefixSchema });
export const deviceSchema = z.object({
  id: idSchema,
  name: z.string().trim().min(1, 'Type a name.').max(80, 'At most 80 letters.'),
});
export const pinSchema = z.string().regex(/^\d{4,8}$/, 'Four to eight figures.');
export const ownPinSchema = z.object({ password: typedPasswordSchema, pin: pinSchema.nullable() });
/** As the form has it: blank for none. */
export const ownPinFormSchema = z.object({
  password: typedPasswordSchema,
  pin: pinSchema.or(z.literal('')),
});
export const tapSchema = z.object({ memberId: idSchema, pin: pinSchema });
export const saveStudioSchema = z.object({ studio: studioSchema, version: z.int() });
