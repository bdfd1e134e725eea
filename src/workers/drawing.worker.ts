import { expose } from "comlink";
import { bringIn } from "@/core/files/bringIn";
import { readWorkroomFile } from "@/store/workroomFile";

/** What comes from elsewhere, read where it can hang nothing. */
const face = { bringIn, readWorkroomFile };

export type DrawingWorker = typeof face;

expose(face);
