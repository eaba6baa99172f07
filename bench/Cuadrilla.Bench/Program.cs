using System.Globalization;
using BenchmarkDotNet.Columns;
using BenchmarkDotNet.Configs;
using BenchmarkDotNet.Diagnosers;
using BenchmarkDotNet.Jobs;
using BenchmarkDotNet.Loggers;
using BenchmarkDotNet.Running;
using BenchmarkDotNet.Toolchains.InProcess.Emit;

if (args is ["random", ..])
{
    int At(int index, int usual) => args.Length > index ? int.Parse(args[index], CultureInfo.InvariantCulture) : usual;
    return Cuadrilla.Bench.RandomPlantRun.Run(At(1, 500), At(2, 40), At(3, 10_000));
}

if (args is ["load", var program, ..])
{
    return await Cuadrilla.Bench.LoadRun.RunAsync(program, args.Length > 2 ? int.Parse(args[2], CultureInfo.InvariantCulture) : 60);
}

// In process: the benchmarks run on the build that was just made, and nothing is written outside the artifacts folder.
var config = ManualConfig.CreateEmpty()
    .AddJob(Job.Default.WithToolchain(InProcessEmitToolchain.Instance).WithWarmupCount(4).WithIterationCount(12))
    .AddColumnProvider(DefaultColumnProviders.Instance)
    .AddDiagnoser(MemoryDiagnoser.Default)
    .AddLogger(ConsoleLogger.Default)
    .WithArtifactsPath(Path.Combine(".build", "bench"));
BenchmarkSwitcher.FromAssembly(typeof(Program).Assembly).Run(args.Length > 0 ? args : ["--filter", "*"], config);
return 0;
