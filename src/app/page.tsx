import { Suspense } from "react";
import { Workroom } from "@/ui/workroom/Workroom";

export default function StartPage() {
  return (
    <Suspense>
      <Workroom />
    </Suspense>
  );
}
