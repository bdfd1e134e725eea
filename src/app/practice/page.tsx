"use client";
import dynamic from "next/dynamic";

/** Practice, which arrives with the engine it needs. */
export default dynamic(() => import("@/ui/practice/Practice").then((m) => m.Practice), { ssr: false });
