import { mergeRoutines, type Merged } from '@soft-lark/core';
import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useReducer, useRef, useState, type Dispatch } from 'react';
import { changeRoutine, routineQuery, type Routine } from '../../api/routines.queries.ts';
import {
  benchReducer,
  editedOf,
  startBench,
  type BenchAction,
  type BenchState,
  type EditedRoutine,
} from './bench.reducer.ts';
import { dropDraft, keepDraft, keptDraft } from './draft-store.ts';
import { createSaver, type Saver, type SaveState } from './saver.ts';

export interface Bench {
  readonly state: BenchState;
  readonly act: (action: BenchAction) => void;
  readonly save: SaveState<Routine>;
  /** What both windows changed, each in its own way; nothing while no other window saved. */
  readonly merged: Merged<EditedRoutine> | null;
  readonly takeTheirs: () => void;
  /** Goes on with a routine that both sides were brought together in. */
  readonly settle: (routine: EditedRoutine) => void;
}

/** A saver lives as long as the page shows this routine. */
function useSaver(
  id: string,
  version: number,
  onState: (save: SaveState<Routine>) => void,
  dispatch: Dispatch<BenchAction>,
): Pick<Saver<Routine>, 'edited' | 'rebase'> {
  const queries = useQueryClient();
  const saver = useRef<Saver<Routine> | null>(null);
  const [base] = useState(version);
  useEffect(() => {
    const made = createSaver<Routine, Routine>({
      version: base,
      save: (edited, known) => changeRoutine(id, { ...editedOf(edited), version: known }),
      onState,
      onSaved: (saved) => {
        dispatch({ type: 'saved', routine: saved });
        queries.setQueryData(routineQuery(id).queryKey, saved);
        void queries.invalidateQueries({ queryKey: ['today'] });
        void queries.invalidateQueries({ queryKey: ['routines'], predicate: ({ queryKey }) => queryKey[1] !== id });
      },
    });
    saver.current = made;
    return () => {
      made.flush();
      made.stop();
    };
  }, [id, base, queries, onState, dispatch]);
  return useMemo(
    () => ({
      edited: (routine) => saver.current?.edited(routine),
      rebase: (known) => saver.current?.rebase(known),
    }),
    [],
  );
}

/** One routine being edited: undo and redo, saved by itself, kept on this device while the server is away. */
export function useBench(server: Routine): Bench {
  const { id } = server;
  const [draft] = useState(() => keptDraft(id));
  const [state, dispatch] = useReducer(benchReducer, draft ?? { routine: server }, startBench);
  const [save, setSave] = useState<SaveState<Routine>>({ kind: 'saved', version: draft?.version ?? server.version });
  const saver = useSaver(id, draft?.version ?? server.version, setSave, dispatch);
  const shown = useRef(draft ? editedOf(server) : state.routine);

  useEffect(() => {
    if (shown.current === state.routine) return;
    shown.current = state.routine;
    saver.edited({ ...server, ...state.routine });
  }, [state.routine, server, saver]);

  useEffect(() => {
    if (save.kind === 'saved') dropDraft(id);
    else keepDraft(id, { version: save.version, routine: state.routine, base: state.base });
  }, [id, save, state.routine, state.base]);

  const take = useCallback(
    (theirs: Routine) => {
      const edited = editedOf(theirs);
      shown.current = edited;
      dispatch({ type: 'replace', routine: edited });
      saver.rebase(theirs.version);
    },
    [saver],
  );

  const theirs = save.kind === 'stale' ? save.current : null;
  const merged = useMemo(
    () => (theirs ? mergeRoutines(state.base, state.routine, editedOf(theirs)) : null),
    [state.base, state.routine, theirs],
  );
  const settle = useCallback(
    (routine: EditedRoutine) => {
      if (!theirs) return;
      saver.rebase(theirs.version);
      dispatch({ type: 'merge', routine, theirs });
    },
    [theirs, saver],
  );
  // Edits that do not touch are brought together without a question.
  useEffect(() => {
    if (merged?.conflicts.length === 0) settle(merged.routine);
  }, [merged, settle]);

  // Another window saved while nothing was unsaved here: take it quietly.
  useEffect(() => {
    if (save.kind === 'saved' && server.version > save.version) take(server);
  }, [server, save, take]);

  return {
    state,
    act: dispatch,
    save,
    merged: merged && merged.conflicts.length > 0 ? merged : null,
    takeTheirs: () => {
      if (theirs) take(theirs);
    },
    settle,
  };
}
