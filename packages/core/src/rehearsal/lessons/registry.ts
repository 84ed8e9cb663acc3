import type { RehearsedKind } from '../drivenRig';
import { firstBeach } from './firstBeach';
import type { Lesson } from './lesson';
import { plowSnow } from './plowSnow';
import { readTread } from './readTread';
import { softExit } from './softExit';
import { wetField } from './wetField';

/** Every lesson of ground that gives way. A new one is a file in this folder and a line here. */
export const LESSONS = [firstBeach, softExit, wetField, plowSnow, readTread] as const satisfies readonly Lesson[];

export type LessonCode = (typeof LESSONS)[number]['code'];

export const lessonOf = (code: LessonCode): Lesson => LESSONS.find((lesson) => lesson.code === code)!;

/** The lessons for a kind of machine. */
export const lessonsFor = (kind: RehearsedKind): readonly LessonCode[] =>
  LESSONS.filter((lesson: Lesson) => lesson.kinds.includes(kind)).map(({ code }) => code);
