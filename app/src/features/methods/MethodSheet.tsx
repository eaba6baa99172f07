import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import Markdown from "react-markdown";
import remarkGfm from "remark-gfm";
import { Sheet } from "../../components/Sheet";
import { Failed, Loading } from "../../components/States";
import { allMethods, textOf } from "./methods";

/** The page on a method: formula, source, where it holds, an example. Pages it names open in its place. */
export function MethodSheet({ first, onClose }: { readonly first: string; readonly onClose: () => void }) {
  const [key, setKey] = useState(first);
  const text = useQuery({ queryKey: ["method", key], queryFn: () => textOf(key), staleTime: Infinity });
  return (
    <Sheet title={`Method: ${allMethods.find((m) => m.key === key)?.name ?? key}`} onClose={onClose} size="wide">
      {text.isPending && <Loading what="page" />}
      {text.isError && <Failed what="The page could not be read." detail={text.error.message} />}
      {text.data !== undefined && (
        <article className="method">
          <Markdown
            remarkPlugins={[remarkGfm]}
            components={{
              a: ({ href = "", children }) => {
                const page = /^([\w-]+)\.md/.exec(href)?.[1];
                return page !== undefined && allMethods.some((m) => m.key === page) ? (
                  <button type="button" className="text-plum underline" onClick={() => setKey(page)}>
                    {children}
                  </button>
                ) : (
                  <span className="font-mono">{children}</span>
                );
              },
            }}
          >
            {text.data}
          </Markdown>
        </article>
      )}
      {key !== first && (
        <button type="button" className="button mt-3" onClick={() => setKey(first)}>
          Back
        </button>
      )}
    </Sheet>
  );
}
