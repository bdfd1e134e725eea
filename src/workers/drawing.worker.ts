import { expose } from "comlink";
import { bringIn } from "@/core/files/bringIn";

const face = { bringIn };

export type DrawingWorker = typeof face;

expose(face);
