using Cuadrilla.Core.Studies.Commissioning;
using Cuadrilla.Core.Studies.Commissioning.StandIns;
using Cuadrilla.Core.Studies.Commissioning.Steps;

namespace Cuadrilla.Core.Tests.Studies.Commissioning;

/// <summary>Measures a step at a simulated drive point as somebody would who follows it.</summary>
internal static class StandInHands
{
    public static double? Reading(StandInDrive drive, string name) => drive.Read().Single(r => r.Name == name).Value;

    // As somebody would who follows the step: orders in turn, values taken when they are there; null where it is not measured.
    public static SiteJudgement? Judge(StandInDrive drive, SiteStep step)
    {
        if (!step.Quantities.Any(q => StepReadings.Of(step.Id, q.Id) is not null))
        {
            return null;
        }

        Dictionary<string, double> values = [];
        List<RunPoint> run = [];
        void Take(Func<string, bool> which)
        {
            foreach (var q in step.Quantities.Where(q => which(q.Id)))
            {
                if (StepReadings.Of(step.Id, q.Id) is { } name && Reading(drive, name) is { } value)
                {
                    values[q.Id] = value;
                }
            }
        }

        void Run(double? hz = null)
        {
            drive.Do(new(StandInOrder.Start, hz));
            drive.Go(step.Id == "direction" && !drive.IsOnLine ? 5 : 240);
        }

        foreach (var order in StepOrders.Of(step.Id))
        {
            switch (order.Order)
            {
                case StandInOrder.Start:
                    if (step.Id == "rise")
                    {
                        Take(q => q is "coldOhm" or "coldC");
                    }

                    Run(order.FrequencyHz);
                    if (step.Id == "noise")
                    {
                        Take(q => q is "ramp");
                    }

                    if (step.Id == "temperature-run")
                    {
                        for (var i = 0; i < 40; i++)
                        {
                            run.Add(new(drive.HeatTimeS, Reading(drive, "temperature.frame")!.Value));
                            drive.Go(2);
                        }
                    }

                    break;
                case StandInOrder.Coast:
                    drive.Do(order);
                    drive.Go(0.05);
                    if (step.Id == "rise")
                    {
                        drive.Go(4);
                        for (var i = 0; i < 200 && drive.State != StandInState.Ready; i++)
                        {
                            drive.Go(0.1);
                        }
                    }

                    break;
                case StandInOrder.Stop:
                    drive.Do(order);
                    drive.Go(600);
                    break;
                default:
                    drive.Do(order);
                    break;
            }
        }

        Take(q => !values.ContainsKey(q) && !(step.Id == "rotations" && q == "reverse"));
        if (step.Id == "rotations" && !drive.IsOnLine)
        {
            drive.Do(new(StandInOrder.Stop));
            drive.Go(600);
            Run(-drive.WantedHz);
            Take(q => q == "reverse");
        }

        if (step.Id == "brake-test")
        {
            values["load"] = 125;
        }

        drive.Do(new(StandInOrder.Stop));
        drive.Go(2000);
        if (drive.Settings.Fault == HiddenFault.None)
        {
            Assert.True(drive.Trip.Length == 0, $"{drive.PointId}, {step.Id}: {drive.Trip}");
        }

        drive.Do(new(StandInOrder.Reset));
        drive.Do(new(StandInOrder.Couple));
        return step.Judge(new(values, run, null));
    }
}
