import { type Work, type Workload } from "../../batching/work";

/** Whether the work is the last before serving: a serve follows it, or nothing does. */
export function isReadyWork(work: Work, workload: Workload): boolean {
  const [demand] = work.demands;
  if (demand.for === "freezer" || work.step.kind === "serve" || work.shared) return false;
  const serve = demand.steps.find((step) => step.kind === "serve");
  if (serve) return serve.after.some((link) => link.step === work.step.id);
  return !workload.works.some(
    (other) => other.demands[0] === demand && other.step.after.some((link) => link.step === work.step.id),
  );
}
