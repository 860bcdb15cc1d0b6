import { GatheringView } from "@/ui/gathering/GatheringView";

export default function Page() {
  return <GatheringView />;
}
