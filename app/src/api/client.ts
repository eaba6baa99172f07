import createClient from "openapi-fetch";
import { signedOut, windowId } from "../project/window";
import type { components, paths } from "./schema";

/** The generated client; every address and shape comes from the OpenAPI document. */
export const api = createClient<paths>({ baseUrl: "", headers: { "X-Cuadrilla-Window": windowId } });

// The session ended: the page asks for the password, whatever the request was for.
api.use({
  onResponse({ response, schemaPath }) {
    if (response.status === 401 && schemaPath !== "/api/session") {
      window.dispatchEvent(new Event(signedOut));
    }
  },
});

type Schemas = components["schemas"];

export type ResistorPulse = Required<Schemas["ResistorPulse"]>;
export type Project = Schemas["ProjectDocument"];
export type Saved = Schemas["SavedDocument"];
export type SpecificationChange = Schemas["SpecificationChange"];
export type Specification = Schemas["PlantSpecification"];
/** A change that asks for engineering, carried out by the server. */
export type PlantCommand = Schemas["PlantCommand"];
export type ElementKind = Schemas["ElementKind"];
export type CommandDone = Schemas["CommandDocument"];
export type Assessment = Schemas["AssessmentDocument"];
export type AssessmentChanges = Schemas["AssessmentChanges"];
export type Check = Schemas["CheckDocument"];
/** What tells a check from all others of a plant. */
export type CheckKey = Pick<Check, "id" | "drivePointId" | "elementId">;
export type Verdict = Schemas["Verdict"];
export type DrivePoint = Schemas["DrivePoint"];
export type DrivePointFigures = Schemas["DrivePointDocument"];
export type Lineup = Schemas["Lineup"];
export type CommonDcBus = Schemas["CommonDcBus"];
export type DcBus = Schemas["DcBusDocument"];
export type Group = Schemas["GroupDocument"];
export type Shaft = Schemas["ShaftDocument"];
export type Follower = Schemas["FollowerDocument"];
export type Brake = Schemas["BrakeDocument"];
export type SunAnswer = Schemas["SunDocument"];
export type LongCableAnswer = Schemas["LongCableDocument"];
export type SunSweepAnswer = Schemas["SunSweepResult"];
export type OnePhaseAnswer = Schemas["OnePhaseDocument"];
export type CabinetAnswer = Schemas["CabinetDocument"];
export type ControlAnswer = Schemas["ControlDocument"];
export type SignalAnswer = Schemas["SignalDocument"];
export type SiteProgress = Schemas["SiteProgressDocument"];
export type SitePoint = Schemas["SitePointDocument"];
export type SiteStep = Schemas["StepDocument"];
export type SiteEntry = Schemas["EntryDocument"];
export type AsBuiltProposal = Schemas["AsBuiltProposal"];
export type InstrumentsAnswer = Schemas["InstrumentsDocument"];
export type PointReadings = Schemas["PointReadingsDocument"];
export type LineWaveAnswer = Schemas["LineWaveDocument"];
export type Reading = Schemas["ReadingDocument"];
export type SiteRun = Schemas["RunDocument"];
export type Training = Schemas["TrainingDocument"];
export type ExerciseSession = Schemas["TrainingSessionDocument"];
export type MakeEntry = Schemas["MakeEntryRequest"];
export type ParameterSheetAnswer = Schemas["ParameterSheetDocument"];
export type ParameterOverview = Schemas["ParameterOverview"];
export type ParameterRow = Schemas["ParameterRowDocument"];
export type SignalJob = Schemas["SignalJob"];
export type OnePhasePoint = Schemas["OnePhasePoint"];
export type GeneratorAnswer = Schemas["GeneratorDocument"];
export type SetSweepAnswer = Schemas["SetSweep"];
export type SheddingAnswer = Schemas["SheddingDocument"];
export type Measurement = Schemas["MeasurementDocument"];
export type HarmonicStudy = Schemas["HarmonicStudyDocument"];
export type Mitigation = Schemas["MitigationDocument"];
export type LineupComparison = Schemas["LineupComparisonDocument"];
export type Load = Schemas["Load"];
export type FluidMachine = Schemas["FluidMachine"];
export type Distribution = Schemas["Distribution"];
export type Bus = Schemas["Bus"];
export type BusLoad = Schemas["BusLoad"];
export type BusLink = Schemas["BusLink"];
export type Transformer = Schemas["Transformer"];
export type CapacitorBank = Schemas["CapacitorBank"];
export type ActiveFilter = Schemas["ActiveFilter"];
export type Scenario = Schemas["Scenario"];
export type ScenarioResult = Schemas["ScenarioDocument"];
export type Catalogue = Schemas["CatalogueDocument"];
export type MotorItem = Schemas["MotorItem"];
export type ConverterItem = Schemas["ConverterDocument"];
export type CableInstallation = Schemas["CableInstallation"];
export type ProtectionPlan = Schemas["ProtectionPlan"];
export type Routes = Required<NonNullable<Specification["routes"]>>;
export type InterferencePlan = Schemas["InterferencePlan"];
export type RouteRow = InterferencePlan["cables"][number];
export type TimeCurrent = Schemas["TimeCurrentPicture"];
export type Bench = Schemas["BenchDocument"];
export type Starting = Schemas["StartingDocument"];
export type StartWay = Schemas["StartWay"];
export type Stopping = Schemas["StoppingDocument"];
export type StopWay = Schemas["StopWay"];
export type PlantAlternatives = Schemas["PlantAlternativesDocument"];
export type StartTrace = Schemas["StartTrace"];
export type Candidate = Schemas["Candidate"];
export type TechnologyRow = Schemas["TechnologyRow"];
export type Reason = Schemas["Reason"];
export type Figure = Schemas["Figure"];
export type InputProblem = Schemas["InputProblem"];
export type Sheet = Schemas["LineupSheet"];
export type Session = Schemas["SessionDocument"];
export type OpenSession = Schemas["OpenSessionDocument"];
export type AccountInfo = Schemas["AccountDocument"];
export type Role = NonNullable<AccountInfo["role"]>;
export type ProjectListItem = Schemas["ProjectListItem"];
export type StudyState = Schemas["StudyDocument"];
export type HistoryEntry = Schemas["HistoryEntry"];
export type JudgedRow = Schemas["JudgedRow"];
export type TakeList = Schemas["TakeListRequest"];
export type Stale = Schemas["StaleDocument"];
