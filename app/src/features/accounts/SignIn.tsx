import { useId, useState, type SyntheticEvent } from "react";
import { api, type Session } from "../../api/client";
import { problemText } from "../../project/useProjectAccess";

/** Name and password; where somebody worked here before, their name stands already. */
export function SignIn({
  name: known = "",
  onDone,
}: {
  readonly name?: string;
  readonly onDone: (session: Session) => Promise<void>;
}) {
  const id = useId();
  const [name, setName] = useState(known);
  const [password, setPassword] = useState("");
  const [problem, setProblem] = useState<string>();
  const [isTrying, setTrying] = useState(false);
  const signIn = async (event: SyntheticEvent) => {
    event.preventDefault();
    if (name.trim() === "" || password === "") {
      setProblem("Name and password are needed.");
      return;
    }
    setTrying(true);
    try {
      const { data, error } = await api.POST("/api/session", { body: { name: name.trim(), password } });
      if (data) {
        await onDone(data);
      } else {
        setProblem(problemText(error));
      }
    } catch {
      setProblem("The server does not answer.");
    } finally {
      setTrying(false);
      setPassword("");
    }
  };
  return (
    <form onSubmit={(event) => void signIn(event)} aria-label="Sign in">
      <label htmlFor={`${id}-name`} className="text-soft">
        Name
      </label>
      <input
        id={`${id}-name`}
        className="entry"
        autoComplete="username"
        autoFocus={known === ""}
        value={name}
        onChange={(e) => setName(e.target.value)}
      />
      <label htmlFor={`${id}-password`} className="mt-2 block text-soft">
        Password
      </label>
      <input
        id={`${id}-password`}
        className="entry"
        type="password"
        autoComplete="current-password"
        autoFocus={known !== ""}
        value={password}
        aria-describedby={problem ? `${id}-problem` : undefined}
        onChange={(e) => setPassword(e.target.value)}
      />
      {problem && (
        <p id={`${id}-problem`} role="alert" className="mt-1 text-fails">
          {problem}
        </p>
      )}
      <button type="submit" className="button button-main mt-3" disabled={isTrying}>
        {isTrying ? "Signing in …" : "Sign in"}
      </button>
    </form>
  );
}
