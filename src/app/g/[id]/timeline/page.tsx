import { TimelineView } from "@/ui/timeline/TimelineView";

export default function Page() {
  return <TimelineView />;
}
