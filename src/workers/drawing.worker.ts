import { hearTongue } from "./hearTongue";
import { expose, transfer } from "comlink";
import { bringIn } from "@/core/files/bringIn";
import { readWorkroomFile, writeWorkroomFile, type WorkroomRecords } from "@/store/workroomFile";

/** What comes from elsewhere, read where it can hang nothing; and the whole workroom, written there too. */
const face = {
  bringIn,
  readWorkroomFile,
  writeWorkroomFile(records: WorkroomRecords, made: string): Uint8Array {
    const bytes = writeWorkroomFile(records, made);
    return transfer(bytes, [bytes.buffer]);
  },
};

export type DrawingWorker = typeof face;

hearTongue();
expose(face);
