import { Button, Group } from '@mantine/core';
import { DndContext, PointerSensor, useDraggable, useSensor, useSensors } from '@dnd-kit/core';
import { DAY, type DayBlock, type DayWishes } from '@soft-lark/core';
import { IconChevronDown, IconChevronUp, IconGripVertical } from '@tabler/icons-react';
import { useRef, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { timeText } from '../../text/times.ts';
import { clockOf } from './day-wishes.ts';
import classes from './day.module.css';

/** What stands in the day besides the singing. */
interface FixedRow {
  readonly at: number;
  readonly minutes: number;
  readonly name: 'waking' | 'call' | 'meal' | 'travel' | 'performance';
}

function fixedRows({ waking, call, meals, travel, performances }: DayWishes): readonly FixedRow[] {
  return [
    { at: waking, minutes: 0, name: 'waking' },
    ...(call === undefined ? [] : [{ at: call, minutes: 0, name: 'call' as const }]),
    ...meals.map((meal) => ({ ...meal, name: 'meal' as const })),
    ...travel.map((way) => ({ ...way, name: 'travel' as const })),
    ...performances.map((one) => ({ ...one, name: 'performance' as const })),
  ];
}

const spanText = (at: number, minutes: number): string =>
  minutes === 0 ? timeText(clockOf(at)) : `${timeText(clockOf(at))} – ${timeText(clockOf(at + minutes))}`;

interface BlockRowProps {
  readonly block: DayBlock;
  /** Moves it to a time of its own; nothing for what follows a performance anyway. */
  readonly onMove: ((at: number) => void) | undefined;
}

/** What a block is taken by and drawn earlier or later; the buttons beside it do the same by keys. */
function Grip({ block: { id, kind } }: Pick<BlockRowProps, 'block'>): ReactElement {
  const { t } = useTranslation();
  const { listeners, setNodeRef } = useDraggable({ id });
  return (
    <span ref={setNodeRef} className={classes['grip']} title={t('students.day.drag')} data-grip={kind} {...listeners}>
      <IconGripVertical size={18} aria-hidden />
    </span>
  );
}

function BlockRow({ block, onMove }: BlockRowProps): ReactElement {
  const { t } = useTranslation();
  const { kind, at, minutes } = block;
  const name = t(`students.day.kinds.${kind}`);
  return (
    <li data-block={kind}>
      <time>{spanText(at, minutes)}</time>
      <div>
        <b>{name}</b>
        <span>{t(`students.day.abouts.${kind}`)}</span>
      </div>
      {onMove && (
        <Group gap={4} wrap="nowrap" className={classes['moves'] ?? ''}>
          {([-1, 1] as const).map((way) => (
            <Button
              key={way}
              size="compact-md"
              aria-label={t(way < 0 ? 'students.day.earlier' : 'students.day.later', { kind: name, count: DAY.grid })}
              onClick={() => {
                onMove(at + way * DAY.grid);
              }}
            >
              {way < 0 ? <IconChevronUp size={16} aria-hidden /> : <IconChevronDown size={16} aria-hidden />}
            </Button>
          ))}
          <Grip block={block} />
        </Group>
      )}
    </li>
  );
}

const MOVABLE: ReadonlySet<DayBlock['kind']> = new Set(['wake', 'build', 'ready']);
/** Pixels a block is drawn for one step of the day. */
const STEP_PIXELS = 12;

/** Whoever does not draw has the buttons, which say what they do. */
const SAID_BY_THE_BUTTONS = {
  container: document.body,
  screenReaderInstructions: { draggable: '' },
  announcements: {
    onDragStart: () => undefined,
    onDragOver: () => undefined,
    onDragEnd: () => undefined,
    onDragCancel: () => undefined,
  },
};

/** From when to when a block may be drawn, so that the others keep their order and their room. */
function roomOf(
  id: string,
  blocks: readonly DayBlock[],
  { waking, performances }: DayWishes,
): readonly [number, number] {
  const movable = blocks.filter(({ kind }) => MOVABLE.has(kind));
  const index = movable.findIndex((block) => block.id === id);
  const taken = (some: readonly DayBlock[]): number =>
    some.reduce((sum, { minutes }) => sum + minutes + DAY.between.least, 0);
  const end = (performances[0]?.at ?? 24 * 60) - DAY.rest.least - (movable[index]?.minutes ?? 0);
  return [waking + taken(movable.slice(0, index)), end - taken(movable.slice(index + 1))];
}

interface DayRowsProps {
  readonly wishes: DayWishes;
  readonly blocks: readonly DayBlock[];
  readonly onMove: (id: string, at: number) => void;
}

/** The day in its order; a block that is drawn earlier or later takes the others with it. */
export function DayRows({ wishes, blocks, onMove }: DayRowsProps): ReactElement {
  const { t } = useTranslation();
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  const from = useRef(0);
  const rows = [...fixedRows(wishes), ...blocks].sort((one, other) => one.at - other.at);
  return (
    <DndContext
      sensors={sensors}
      accessibility={SAID_BY_THE_BUTTONS}
      onDragStart={({ active }) => {
        from.current = blocks.find(({ id }) => id === active.id)?.at ?? 0;
      }}
      onDragMove={({ active, delta }) => {
        const [least, most] = roomOf(String(active.id), blocks, wishes);
        const wanted = from.current + Math.round(delta.y / STEP_PIXELS) * DAY.grid;
        onMove(String(active.id), Math.min(Math.max(wanted, least), Math.max(least, most)));
      }}
    >
      <ol>
        {rows.map((row) =>
          'kind' in row ? (
            <BlockRow
              key={row.id}
              block={row}
              onMove={
                MOVABLE.has(row.kind)
                  ? (at) => {
                      onMove(row.id, at);
                    }
                  : undefined
              }
            />
          ) : (
            <li key={`${row.name} ${String(row.at)}`} data-fixed={row.name}>
              <time>{spanText(row.at, row.minutes)}</time>
              <span>{t(`students.day.${row.name}`)}</span>
            </li>
          ),
        )}
      </ol>
    </DndContext>
  );
}
