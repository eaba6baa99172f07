import { lazy, Suspense } from "react";
import { Route, Routes } from "react-router";
import { Loading } from "./components/States";
import { Door } from "./features/accounts/Door";
import { ProjectPage } from "./features/shell/ProjectPage";
import { StartPage } from "./features/start/StartPage";

const PrintedSheet = lazy(() => import("./features/sheets/PrintedSheet"));

/** Addresses of the app. */
export function App() {
  return (
    <Door>
      <Suspense fallback={<Loading what="page" />}>
        <Routes>
          <Route path="/" element={<StartPage />} />
          <Route path="/plants/:projectId/print/:lineupId" element={<PrintedSheet />} />
          <Route path="/plants/:projectId/:view?" element={<ProjectPage />} />
          <Route path="*" element={<StartPage />} />
        </Routes>
      </Suspense>
    </Door>
  );
}
