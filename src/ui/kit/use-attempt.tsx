"use client";
import Button from "@mui/material/Button";
import { useCallback, useState, type ReactNode } from "react";
import { fail, type Issue, type Result } from "@/core/shared/issue";
import { issueText } from "@/core/shared/issue-text";
import { NO_ANSWER } from "../session/outbox";
import { Banner } from "./Banner";

interface Failure {
  readonly name: string;
  readonly issue: Issue;
  readonly again: () => void;
}

/**
 * For what is done once and asked of the server: what does not work is said with its reason, and offered again.
 * @returns `attempt`: `name` begins the sentence ("Copying it"), `done` is told of what came of it; `told`: what to show
 */
export function useAttempt(): {
  readonly attempt: <T>(name: string, work: () => Promise<Result<T>>, done: (value: T) => void) => void;
  readonly told: ReactNode;
} {
  const [failure, setFailure] = useState<Failure | undefined>(undefined);
  const attempt = useCallback(<T,>(name: string, work: () => Promise<Result<T>>, done: (value: T) => void) => {
    const again = () => {
      work()
        .catch((): Result<T> => fail({ code: "failed", path: [], got: NO_ANSWER }))
        .then((answer) => {
          setFailure(answer.ok ? undefined : { name, issue: answer.issues[0], again });
          if (answer.ok) done(answer.value);
        });
    };
    again();
  }, []);
  const told = failure && (
    <Banner kind="refused" role="alert">
      {issueText(failure.issue, failure.issue.code === "failed" ? failure.name : undefined)}. What you typed is kept here.
      <Button size="small" variant="outlined" onClick={failure.again} sx={{ ml: 1 }}>
        Try again
      </Button>
    </Banner>
  );
  return { attempt, told };
}
