"use client";
import { proxy } from "comlink";
import { useCallback, useEffect, useRef, useState } from "react";
import type { ClothLay, Laid, LayCloth } from "@/core/cloth";
import type { Job } from "@/core/files";
import type { Material } from "@/core/pattern";
import type { Complaint, Mm } from "@/core/units";
import { findLay, keepLay } from "@/store/layStore";
import { atTheLay } from "@/workers/client";
import type { CalledPiece, Looked } from "@/workers/lay.worker";
import { cutKey } from "./cutKey";

/** Opened, a lay is looked for so long; then it is for the maker to look on. */
const LOOKS_FIRST_MS = 6_000;
const SEED = 1;

export interface LayState {
  readonly lay: ClothLay | null;
  /** It was made for other pieces, or another cloth. */
  readonly isOld: boolean;
  readonly isLooking: boolean;
  /** No lay of these pieces on this cloth is shorter, as far as that is proved. */
  readonly proved: Mm | null;
  /** Length of the first lay of this search, and steps made since. */
  readonly first: number | null;
  readonly steps: number;
  readonly complaint: Complaint | null;
  readonly locked: ReadonlyMap<number, Laid>;
  readonly materials: readonly Material[];
  readonly pieces: readonly CalledPiece[];
}

const NOTHING: LayState = {
  lay: null,
  isOld: false,
  isLooking: false,
  proved: null,
  first: null,
  steps: 0,
  complaint: null,
  locked: new Map(),
  materials: [],
  pieces: [],
};

const laidOf = (lay: ClothLay): readonly Laid[] => lay.placements.map(({ x, y, turn }) => ({ x, y, turn }));

/** The lay of a job's material on a cloth, and of others that lie on it too: kept beside the job, looked for in a worker, moved by hand. */
export function useLay(id: string, jobs: readonly Job[], material: Material, cloth: LayCloth | null) {
  const [state, setState] = useState<LayState>(NOTHING);
  const now = useRef(state);
  const sign = useRef("");
  const run = useRef(0);
  const set = useCallback((more: Partial<LayState>) => {
    now.current = { ...now.current, ...more };
    setState(now.current);
  }, []);
  const clothKey = JSON.stringify(cloth);
  const jobKey = cutKey(jobs);

  const keep = useCallback(
    (lay: ClothLay, steps: number) =>
      void keepLay({
        job: id,
        material,
        sign: sign.current,
        seed: SEED,
        steps,
        locked: [...now.current.locked],
        lay,
        ...(now.current.proved !== null && { proved: now.current.proved }),
      }).catch(() => undefined),
    [id, material],
  );

  const stop = useCallback(() => {
    run.current++;
    void atTheLay((face) => face.stop()).catch(() => undefined);
    if (now.current.isLooking) set({ isLooking: false });
  }, [set]);

  /** Takes note of what is proved of the lay as it stands, while `own` is what is being done. */
  const takeProved = useCallback(
    (own: number) => (proved: Mm) => {
      if (run.current !== own) return;
      set({ proved });
      const { lay, steps } = now.current;
      if (lay) keep(lay, steps);
    },
    [keep, set],
  );

  /** Works out what no lay is under, once the lay stands still; whatever else is asked of the lay comes first. */
  const prove = useCallback(async () => {
    const { lay } = now.current;
    if (!cloth || !lay) return;
    const own = ++run.current;
    await atTheLay((face) => face.prove(jobs, material, cloth, lay.length, proxy(takeProved(own)))).catch(
      () => undefined,
    );
    // The job and the cloth are looked at by what is in them.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [jobKey, clothKey, material, takeProved]);

  const look = useCallback(
    async (forMs: number | null, fresh: boolean) => {
      if (!cloth) return;
      const own = ++run.current;
      const locked = [...now.current.locked];
      set({ isLooking: true, first: null, steps: 0, complaint: null });
      let best = fresh || now.current.isOld ? null : now.current.lay;
      const tell = (looked: Looked): void => {
        if (run.current !== own) return;
        const { lay } = looked;
        if (lay && (!best || lay.length < best.length - 1e-6)) {
          best = lay;
          set({ lay, isOld: false, first: now.current.first ?? lay.length, steps: looked.steps });
          keep(lay, looked.steps);
        } else set({ steps: looked.steps, first: now.current.first ?? lay?.length ?? null });
      };
      try {
        const asked = { seed: SEED, locked, forMs };
        const why = await atTheLay((face) =>
          face.look(jobs, material, cloth, asked, proxy(tell), proxy(takeProved(own))),
        );
        if (run.current !== own) return;
        set({ isLooking: false, complaint: why?.[0] ?? null });
        if (forMs !== null) void prove();
      } catch {
        if (run.current === own) set({ isLooking: false });
      }
    },
    // The job and the cloth are looked at by what is in them.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [jobKey, clothKey, material, keep, set, takeProved, prove],
  );

  useEffect(() => {
    let wanted = true;
    const open = async (): Promise<void> => {
      if (!cloth) return;
      const [kept, signed] = await Promise.all([
        findLay(id, material).catch(() => null),
        atTheLay((face) => face.sign(jobs, material, cloth)),
      ]);
      if (!wanted) return;
      sign.current = signed.sign;
      const isOld = kept !== null && kept.sign !== signed.sign;
      const locked: LayState["locked"] = new Map(kept && !isOld ? kept.locked : []);
      set({
        ...NOTHING,
        lay: kept?.lay ?? null,
        isOld,
        locked,
        materials: signed.materials,
        pieces: signed.pieces,
        steps: kept?.steps ?? 0,
        proved: (isOld ? null : kept?.proved) ?? null,
      });
      if (!kept || isOld) void look(LOOKS_FIRST_MS, true);
      else if (kept.proved === undefined) void prove();
    };
    void open().catch(() => undefined);
    return () => {
      wanted = false;
      stop();
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [id, jobKey, clothKey, material]);

  const held = useRef<Promise<boolean> | null>(null);
  /** Takes the lay into the hand, before pieces of it are moved. */
  const take = useCallback(() => {
    const { lay } = now.current;
    if (!lay || !cloth) return;
    stop();
    held.current = atTheLay((face) => face.take(jobs, material, cloth, laidOf(lay)));
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [jobKey, clothKey, material, stop]);

  const moving = useRef(false);
  const wantedAt = useRef<readonly [number, Laid] | null>(null);
  /** Moves a piece as near as it can lie to where the hand is; the newest wish only. */
  const move = useCallback(
    async (piece: number, to: Laid) => {
      wantedAt.current = [piece, to];
      if (moving.current || !held.current) return;
      moving.current = true;
      try {
        if (!(await held.current)) return;
        while (wantedAt.current) {
          const [i, at] = wantedAt.current;
          wantedAt.current = null;
          const lay = await atTheLay((face) => face.move(i, at));
          if (!lay) break;
          const placement = lay.placements[i];
          const locked = new Map(now.current.locked);
          if (placement && locked.has(i)) locked.set(i, { x: placement.x, y: placement.y, turn: placement.turn });
          set({ lay, locked });
        }
      } catch {
        // The worker was ended; the lay stays as it was last told.
      } finally {
        moving.current = false;
      }
    },
    [set],
  );
  const letGo = useCallback(() => {
    const { lay, steps } = now.current;
    if (lay) keep(lay, steps);
  }, [keep]);

  const lock = useCallback(
    (piece: number) => {
      const { lay } = now.current;
      const at = lay?.placements[piece];
      if (!lay || !at) return;
      const locked = new Map(now.current.locked);
      if (!locked.delete(piece)) locked.set(piece, { x: at.x, y: at.y, turn: at.turn });
      set({ locked });
      keep(lay, now.current.steps);
    },
    [keep, set],
  );

  return { ...state, look, stop, take, move, letGo, lock };
}

export type Laying = ReturnType<typeof useLay>;
