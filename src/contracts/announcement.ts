import { boolean, number, object } from 'yup';
import { PLAN_LIMITS } from '$core/plan';
import { name } from './values';

export const ANNOUNCEMENT_LENGTH = 600;

export const announcementSchema = object({
	text: name(ANNOUNCEMENT_LENGTH, 'an announcement needs some words'),
	day: number().integer().min(1).max(PLAN_LIMITS.days).nullable().default(null),
	once: boolean().default(false)
});
