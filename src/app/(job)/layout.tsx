import { Suspense, type ReactNode } from "react";
import { Frame } from "@/ui/Frame";

export default function JobLayout({ children }: { readonly children: ReactNode }) {
  return (
    <Suspense>
      <Frame>{children}</Frame>
    </Suspense>
  );
}
