import { momentOf, type StillCourse, type StillPart } from '@soft-lark/core';
import { useElementSize } from '@mantine/hooks';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { isOfWords, layCourse } from './course.layout.ts';
import { fitText } from './flight.layout.ts';
import classes from './course.module.css';

/** Words alone need no more. */
const WORDS_HEIGHT = 88;

interface CoursePictureProps {
  readonly course: StillCourse;
  readonly height: number;
  /** Seconds since it began; left out it has not. */
  readonly elapsed?: number;
}

/** What a part is called, in a word or two. */
export function usePartWords(): (part: StillPart) => string {
  const { t } = useTranslation();
  return ({ act, seconds, counts, side }) => {
    const inSeconds = `${String(Number(seconds.toFixed(seconds < 10 ? 1 : 0)))} s`;
    if (act === 'prompt') return side ? `${t(`course.sides.${side}`)} ${inSeconds}` : inSeconds;
    if (act === 'say') return t('course.beats', { count: counts ?? 1 });
    return `${t(`course.acts.${act}`)} ${String(counts ?? inSeconds)}`;
  };
}

/** A course of breath, of the body or of words, part by part; what is on is strong, what was is faint. */
export function CoursePicture({ course, height: most, elapsed }: CoursePictureProps): ReactElement {
  const { t } = useTranslation();
  const words = usePartWords();
  const { ref, width } = useElementSize();
  const moment = elapsed === undefined ? null : momentOf(course, elapsed);
  const now = moment ? course.parts.indexOf(moment.part) : elapsed === undefined ? -1 : course.parts.length;
  const height = isOfWords(course) ? Math.min(most, WORDS_HEIGHT) : most;
  const path = layCourse(course, Math.max(0, now), Math.max(260, width), height);
  return (
    <div ref={ref} className={classes['course']}>
      {width > 0 && (
        <svg
          width={width}
          height={height}
          role="img"
          aria-label={course.parts.map((part) => [part.text, words(part)].filter(Boolean).join(', ')).join('; ')}
        >
          {path.shapes.map(({ part, path: curve, x, width: wide, isFlat, wordsY }, index) => {
            const at = path.before + index;
            return (
              <g key={part.startsAt} data-state={at === now ? 'now' : at < now ? 'past' : 'to-come'} data-flat={isFlat}>
                <path d={curve} />
                {part.text !== undefined && (
                  <text className={classes['words']} x={x + wide / 2} y={wordsY}>
                    {fitText(part.text, wide - 30)}
                  </text>
                )}
                <text x={x + wide / 2} y={path.base + 22}>
                  {words(part)}
                </text>
              </g>
            );
          })}
        </svg>
      )}
      {path.before + path.after > 0 && (
        <small>
          {[
            ...(path.before > 0 ? [t('course.before', { count: path.before })] : []),
            ...(path.after > 0 ? [t('course.after', { count: path.after })] : []),
          ].join(' · ')}
        </small>
      )}
    </div>
  );
}
