import { speakFrom } from "@/locale/speak";
import type { ToldTongue } from "./tellTongue";

/** Has this worker speak what its page speaks. */
export function hearTongue(): void {
  self.addEventListener("message", ({ data }: MessageEvent<Partial<ToldTongue> | null>) => {
    if (data?.speaks) speakFrom(data.speaks);
  });
}
