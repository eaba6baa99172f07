using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Interference;

/// <summary>What is done for those that listen nearby.</summary>
public static class ReceiverWords
{
    /// <summary>In words, by what listens.</summary>
    public static string ReliefOf(ReceiverKind kind) => kind switch
    {
        ReceiverKind.Radio => "filters for C2, screens of motor cables all round, and a measurement agreed with its owner after "
            + "commissioning",
        ReceiverKind.Weighing => "cells with six wires, their screen all round at the electronics, a strap that leads earth currents past "
            + "each cell, motor cables in another tray",
        ReceiverKind.Medical => "filters for C2 or C1, and the distance that its maker states for its use, agreed with its operator",
        ReceiverKind.Instruments => "filters for C2, isolated inputs, a supply of their own with a filter",
        _ => "symmetrical lines with transformers, a supply and an earth bar of its own, filters for C2",
    };
}
