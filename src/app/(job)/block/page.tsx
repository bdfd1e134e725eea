"use client";
import dynamic from "next/dynamic";

/** Stage 2, which arrives with the engine it needs while the job is read from the store. */
export default dynamic(() => import("./BlockStage").then((m) => m.BlockStage), { ssr: false });
