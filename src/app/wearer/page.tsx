import { Suspense } from "react";
import { WearerPage } from "@/ui/wearer/WearerPage";

export default function Wearer() {
  return (
    <Suspense>
      <WearerPage />
    </Suspense>
  );
}
