using System.Numerics;
using CsCheck;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using MathNet.Numerics.LinearAlgebra;

namespace Cuadrilla.Core.Tests.Network;

public sealed class NetworkTests
{
    [Fact]
    public void A_radial_network_is_the_chain_of_the_fault_level()
    {
        var network = TestNetworks.Network(TestNetworks.TwoTransformers(VectorGroup.Dyn11, VectorGroup.Dyn11));
        var chain = FaultLevel.Run(400, 250, 10, [new FaultLevel.TransformerInput(1600, 6, 14)]);
        Assert.Equal(1e3 * chain.IscKa, network.FaultA("a"), 6);
        Assert.Equal(250e6 / Math.Sqrt(3) / 20_000, network.FaultA("mv"), 6);
    }

    [Fact]
    public void Parallel_transformers_halve_their_impedance()
    {
        var network = TestNetworks.Network(TestNetworks.TwoTransformers(VectorGroup.Dyn11, VectorGroup.Dyn11, coupled: true));
        var source = FaultLevel.SourceImpedance(400, 250, 10);
        var transformer = FaultLevel.TransformerImpedance(400, new FaultLevel.TransformerInput(1600, 6, 14));
        Assert.Equal((source + (transformer / 2)).Magnitude, network.ImpedanceOhm("a").Magnitude, 12);
        Assert.Equal(0.5, network.PartThrough("t1", "b"), 9);
    }

    [Fact]
    public void Switches_decide_what_is_live_and_from_where()
    {
        var plant = TestNetworks.TwoTransformers(VectorGroup.Dyn11, VectorGroup.Yyn0);
        var outage = TestNetworks.AsUsual with { Switches = [new SwitchState("t2", false)] };
        Assert.False(TestNetworks.Network(plant, outage).IsLive("b"));
        var coupled = outage with { Switches = [.. outage.Switches, new SwitchState("k", true)] };
        var network = TestNetworks.Network(plant, coupled);
        Assert.Equal(11, network.ClockHour("b"));
        Assert.Equal(network.FaultA("a"), network.FaultA("b"), 9);
        Assert.Equal(0, TestNetworks.Network(plant).ClockHour("b"));
        Assert.Equal(["k"], SupplyNetwork.PhaseConflicts(plant.Distribution,
            TestNetworks.AsUsual with { Switches = [new SwitchState("k", true)] }, "mv"));
        Assert.Empty(SupplyNetwork.PhaseConflicts(plant.Distribution, coupled, "mv"));
    }

    [Fact]
    public void An_infinite_source_makes_its_bus_the_reference()
    {
        var network = TestNetworks.Network(TestNetworks.TwoTransformers(VectorGroup.Dyn11, VectorGroup.Dyn11,
            strength: new SourceStrength.AssumedInfinite()));
        Assert.Equal(double.PositiveInfinity, network.FaultA("mv"));
        Assert.Equal(1600e3 / (Math.Sqrt(3) * 400) / 0.06, network.FaultA("a"), 6);
        Assert.Equal(Complex.Zero, network.TransferPu("a", "b"));
    }

    [Fact]
    public void The_weakest_source_serves_dips_the_strongest_withstand()
    {
        var plant = TestNetworks.TwoTransformers(VectorGroup.Dyn11, VectorGroup.Dyn11,
            strength: new SourceStrength.FaultLevel(250, 120, 10));
        Assert.Equal(250e6 / Math.Sqrt(3) / 20_000, TestNetworks.Network(plant, view: SourceView.Strongest).FaultA("mv"), 6);
        Assert.Equal(120e6 / Math.Sqrt(3) / 20_000, TestNetworks.Network(plant).FaultA("mv"), 6);
    }

    /// <summary>
    /// Random networks against an independent formulation: branch currents and node voltages as one system (sparse tableau),
    /// solved by a general library.
    /// </summary>
    [Fact]
    public void Solution_equals_an_independent_formulation()
    {
        var networks = Gen.Select(Gen.Int[2, 8], Gen.Int[0, 100_000], Gen.Int[2, 50]);
        networks.Sample(
            (count, seed, order) =>
            {
                var random = new Random(seed);
                var plant = RandomPlant(count, random);
                var network = TestNetworks.Network(plant);
                Sequences[] drawn = [.. Enumerable.Range(0, network.NodeCount)
                    .Select(_ => new Sequences(new Complex(random.NextDouble(), random.NextDouble()), random.NextDouble()))];
                Complex[] shunts = [.. drawn.Select(_ => new Complex(random.NextDouble(), random.NextDouble() - 0.5))];
                var solved = new HarmonicNetwork(network, order, new LoadedOrder(network, order, shunts).Factors, drawn);
                var expected = Tableau(network, order, shunts, drawn);
                for (var i = 0; i < network.NodeCount; i++)
                {
                    Assert.True((solved.Voltage(i).Positive - expected[i]).Magnitude <= 1e-9 * expected.Max(v => v.Magnitude));
                }
            },
            iter: 200);
    }

    [Fact]
    public void Currents_of_an_order_leave_no_rest_at_any_node()
    {
        var plant = RandomPlant(6, new Random(7));
        var network = TestNetworks.Network(plant);
        Sequences[] drawn = [.. Enumerable.Range(0, network.NodeCount).Select(i => new Sequences(i + 1, 0))];
        var solved = new HarmonicNetwork(network, 5, new LoadedOrder(network, 5, new Complex[network.NodeCount]).Factors, drawn);
        for (var node = 0; node < network.NodeCount; node++)
        {
            var into = network.Branches.Where(b => b.To == node).Aggregate(Complex.Zero, (s, b) => s + solved.Current(b).Positive);
            var away = network.Branches.Where(b => b.From == node).Aggregate(Complex.Zero, (s, b) => s + solved.Current(b).Positive);
            Assert.Equal(0, (into - away - drawn[node].Positive).Magnitude, 9);
        }
    }

    [Fact]
    public void A_capacitor_bank_resonates_with_the_network_where_it_should()
    {
        var network = TestNetworks.Network(TestNetworks.TwoTransformers(VectorGroup.Dyn11, VectorGroup.Dyn11));
        var bank = new CapacitorBank("c", "bank", "a", 50, 8, Given.Unknown);
        var node = network.NodeOf("a");
        double Impedance(int order)
        {
            var shunts = new Complex[network.NodeCount];
            shunts[node] = bank.AdmittanceS(order, 8, 400, 0) * network.BaseOhm("a");
            var drawn = new Sequences[network.NodeCount];
            drawn[node] = new Sequences(1, 0);
            return new HarmonicNetwork(network, order, new LoadedOrder(network, order, shunts).Factors, drawn).Voltage(node)
                .Positive.Magnitude;
        }

        // √(S_sc/Q): 24.1 MVA (reactive part) against 0.4 Mvar.
        var expected = Math.Sqrt(network.VoltageV("a") * network.VoltageV("a") / network.ImpedanceOhm("a").Imaginary / 400e3);
        Assert.Equal(Math.Round(expected), Enumerable.Range(2, 30).MaxBy(Impedance));
        var detuned = bank with { DetuningPct = 7 };
        Assert.True(detuned.AdmittanceS(1, 8, 400, 0).Imaginary > 0);
        Assert.True(detuned.AdmittanceS(5, 8, 400, 0).Imaginary < 0, "above 3.8 times the line frequency it is inductive");
        Assert.Equal(400e3, detuned.AdmittanceS(1, 8, 400, 0).Imaginary * 400 * 400, 6);
    }

    // p·h² = 1: an ideal short circuit at the 5th (4 %) and the 3rd (11.11 %); the reactor's resistance is what is left.
    [Theory]
    [InlineData(4, 5)]
    [InlineData(100.0 / 9, 3)]
    public void A_bank_tuned_to_an_order_is_as_good_as_its_reactor_lets_it(double detuningPct, int order)
    {
        var bank = new CapacitorBank("c", "bank", "a", 50, 8, detuningPct);
        var reactorOhm = detuningPct / 100 * bank.CapacitorOhm(8, 400);
        Assert.Equal(1 / (0.01 * reactorOhm), bank.AdmittanceS(order, 8, 400, 0.01).Magnitude, 1e-6 / reactorOhm);
        Assert.All(Enumerable.Range(1, 50), h => Assert.True(double.IsFinite(bank.AdmittanceS(h, 8, 400, 0.01).Magnitude)));
        Assert.All(BankResonance.Of(20, 10, 400, detuningPct, 0).Gains, g => Assert.True(double.IsFinite(g)));
        Assert.Equal(0, BankResonance.Of(20, 10, 400, detuningPct, 0).Gains[order - 1], 1e-12);
    }

    [Fact]
    public void Load_flow_of_one_bus_is_the_quadratic()
    {
        var network = TestNetworks.Network(TestNetworks.TwoTransformers(VectorGroup.Dyn11, VectorGroup.Dyn11));
        var node = network.NodeOf("a");
        var powers = new Complex[network.NodeCount];
        powers[node] = new Complex(1.2, 0.5);
        var voltage = LoadFlow.Run(network, new Complex[network.NodeCount], powers)![node];

        // |V|⁴ + |V|²·(2·(R·P + X·Q) − 1) + |Z|²·|S|² = 0.
        var z = network.TransferPu("a", "a");
        var b = (2 * ((z.Real * 1.2) + (z.Imaginary * 0.5))) - 1;
        var square = (-b + Math.Sqrt((b * b) - (4 * z.Magnitude * z.Magnitude * powers[node].Magnitude * powers[node].Magnitude))) / 2;
        Assert.Equal(Math.Sqrt(square), voltage.Magnitude, 9);
        powers[node] = new Complex(30, 10);
        Assert.Null(LoadFlow.Run(network, new Complex[network.NodeCount], powers));
    }

    [Fact]
    public void A_dip_is_the_voltage_divider_and_tends_to_the_shortcut()
    {
        var network = TestNetworks.Network(TestNetworks.TwoTransformers(VectorGroup.Dyn11, VectorGroup.Dyn11));
        var idle = new StandingLoad(new Complex[network.NodeCount], new Complex[network.NodeCount]);
        var dip = StartDip.Run(network, idle, "a", 800e3, 0.25, "mv")!.Value;
        var motor = Complex.FromPolarCoordinates(1 / 0.8, Math.Acos(0.25));
        var source = network.TransferPu("a", "a");
        Assert.Equal((motor / (motor + source)).Magnitude, dip.AtMotor.DuringPu, 12);

        // With the angle of the source the divider is S/(S + S_sc) exactly.
        var angled = StartDip.Run(network, idle, "a", 800e3, Math.Cos(source.Phase), "mv")!.Value;
        var ratio = angled.ShortcutPct / 100;
        Assert.Equal(100 * ratio / (1 + ratio), angled.AtMotor.DipPct, 9);
        Assert.True(dip.AtCoupling.DipPct < dip.AtMotor.DipPct);

        // At an infinite source's own bus nothing dips.
        var stiff = TestNetworks.Network(TestNetworks.TwoTransformers(VectorGroup.Dyn11, VectorGroup.Dyn11,
            strength: new SourceStrength.AssumedInfinite()));
        Assert.Equal(0, StartDip.Run(stiff, new StandingLoad(new Complex[stiff.NodeCount], new Complex[stiff.NodeCount]), "mv", 800e3, 0.25,
            "mv")!.Value.AtMotor.DipPct, 12);
    }

    [Fact]
    public void Standing_load_deepens_the_voltage_not_the_source()
    {
        var network = TestNetworks.Network(TestNetworks.TwoTransformers(VectorGroup.Dyn11, VectorGroup.Dyn11));
        var powers = new Complex[network.NodeCount];
        powers[network.NodeOf("a")] = new Complex(1, 0.3);
        var loaded = StartDip.Run(network, new StandingLoad(new Complex[network.NodeCount], powers), "a", 800e3, 0.25, "mv")!.Value;
        Assert.True(loaded.AtMotor.BeforePu < 1);
        Assert.True(loaded.AtMotor.DipPct > StartDip.Run(network,
            new StandingLoad(new Complex[network.NodeCount], new Complex[network.NodeCount]), "a", 800e3, 0.25,
            "mv")!.Value.AtMotor.DipPct);
    }

    [Theory]
    [InlineData(0.0225 / 2.5, 1)]
    [InlineData(0.0225 / 300, 1.03)]
    public void Skin_effect_is_nothing_in_thin_wires_and_grows_in_thick_ones(double ohmPerM, double least)
    {
        var rise = 1 + SkinEffect.SkinFactor(ohmPerM, 50);
        Assert.InRange(rise, Math.Max(1, least - 0.03), least + 0.03);
        Assert.Equal(1, SkinEffect.OfConductor(ohmPerM, 50, 1), 12);
        Assert.True(SkinEffect.OfConductor(ohmPerM, 50, 25) >= SkinEffect.OfConductor(ohmPerM, 50, 5));
    }

    [Theory]
    [InlineData(2.8)]
    [InlineData(3.8)]
    public void Skin_effect_has_no_step_between_its_ranges(double x)
    {
        // x² = 8·π·f·10⁻⁷/R′.
        double At(double value) => SkinEffect.SkinFactor(8 * Math.PI * 50 * 1e-7 / (value * value), 50);
        Assert.Equal(At(x - 1e-6), At(x + 1e-6), 0.02);
    }

    [Fact]
    public void Bessel_functions_give_the_same_skin_effect()
    {
        // Solid round conductor: R/R_0 = Re(k·a·J_0(k·a)/(2·J_1(k·a))), k·a = x_s·√(−j)… by power series.
        foreach (var x in new[] { 0.5, 1.0, 2.0, 2.7 })
        {
            var ka = x * Complex.Exp(new Complex(0, -Math.PI / 4));
            Complex j0 = 1, j1 = ka / 2, term0 = 1, term1 = ka / 2;
            for (var m = 1; m < 30; m++)
            {
                term0 *= -ka * ka / 4 / (m * m);
                term1 *= -ka * ka / 4 / (m * (m + 1));
                j0 += term0;
                j1 += term1;
            }

            var exact = (ka * j0 / (2 * j1)).Real;
            Assert.Equal(exact - 1, SkinEffect.SkinFactor(8 * Math.PI * 50 * 1e-7 / (x * x), 50), 0.006);
        }
    }

    private static PlantSpecification RandomPlant(int count, Random random)
    {
        var plant = TestNetworks.TwoTransformers(VectorGroup.Dyn11, VectorGroup.Dyn11, coupled: random.Next(2) == 0);
        List<Bus> buses = [.. plant.Distribution.Buses];
        List<BusLink> links = [.. plant.Distribution.Links];
        for (var i = 0; i < count; i++)
        {
            var from = buses[random.Next(1, buses.Count)].Id;
            buses.Add(new Bus($"x{i}", $"x{i}", 400, Given.Unknown));
            links.Add(Cable($"c{i}", from, $"x{i}", random));
            if (random.Next(3) == 0 && from != "a")
            {
                links.Add(Cable($"m{i}", "a", $"x{i}", random));
            }
        }

        return plant with { Distribution = plant.Distribution with { Buses = [.. buses], Links = [.. links] } };
    }

    private static BusLink.Cable Cable(string id, string from, string to, Random random) => new(
        id, id, from, to, true, 5 + (200 * random.NextDouble()), 10 + (230 * random.NextDouble()), 1 + random.Next(2),
        ConductorMaterial.Copper, CableLaying.Flat);

    // Unknowns: node voltages v and branch currents i. A·i + y·v = −drawn; v_from − v_to − z·i = 0.
    private static Complex[] Tableau(SupplyNetwork network, int order, Complex[] shunts, Sequences[] drawn)
    {
        int n = network.NodeCount, m = network.Branches.Count;
        var matrix = Matrix<Complex>.Build.Dense(n + m, n + m);
        var right = MathNet.Numerics.LinearAlgebra.Vector<Complex>.Build.Dense(n + m);
        for (var k = 0; k < m; k++)
        {
            var branch = network.Branches[k];
            matrix[n + k, n + k] = -branch.At(order);
            if (branch.From >= 0)
            {
                matrix[branch.From, n + k] += 1;
                matrix[n + k, branch.From] += 1;
            }

            if (branch.To >= 0)
            {
                matrix[branch.To, n + k] -= 1;
                matrix[n + k, branch.To] -= 1;
            }
        }

        for (var i = 0; i < n; i++)
        {
            matrix[i, i] += shunts[i];
            right[i] = -drawn[i].Positive;
        }

        return [.. matrix.Solve(right).Take(n)];
    }
}
