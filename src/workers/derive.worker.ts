import { WorkEnded } from "./supervised";
import { expose, transfer } from "comlink";
import { derive, deriveShape } from "@/core/derive";
import { withCures } from "@/core/derive/cures";
import { handOver, noticesOf, type ExportFormat } from "@/core/derive/handOver";
import type { HandedFile, Job } from "@/core/files";
import type { Paper } from "@/core/files/pdf";
import { STYLES } from "@/core/styles";
import { tapeOf, tell, type Sentence } from "@/core/units";
import type { Miniature, Proof } from "./proof";

const CANNOT: Sentence = ["This job cannot be drawn."];

const face = {
  /** A job's style and outline in miniature, or why it cannot be drawn. */
  miniature(job: Job): Miniature {
    const shape = deriveShape(job);
    const style = STYLES[job.style.id]?.label ?? job.style.id;
    return shape.ok
      ? { style, panels: shape.panels, message: null }
      : { style, panels: [], message: shape.errors[0]?.says ?? CANNOT };
  },

  /** Pieces, proof and advice of a job; null where it cannot be derived. */
  proof(job: Job): Proof | null {
    const derived = derive(job);
    if (!derived.ok) return null;
    const { sewn, notions, hemDepth, pieces, seams, checks, advice, undecided } = withCures(job, derived);
    return { sewn, notions, hemDepth, pieces, seams, checks, advice, undecided, notices: noticesOf(derived) };
  },

  /** The file that leaves the program; throws the first fault as a sentence. */
  async handOver(job: Job, format: ExportFormat, paper: Paper): Promise<HandedFile> {
    const derived = derive(job);
    if (!derived.ok) throw new WorkEnded(tell(derived.errors[0]?.says ?? CANNOT, tapeOf(job.body.unit)));
    const file = await handOver(job, derived, format, paper);
    return transfer(file, [file.bytes.buffer]);
  },
};

export type DeriveWorker = typeof face;

expose(face);
