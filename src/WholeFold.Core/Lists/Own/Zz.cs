namespace WholeFold.Core.Lists.Own;
internal static class Zz { public static readonly string T = Environment.GetEnvironmentVariable("TT") ?? ""; public static bool On(char c) => T.Contains(c); public static double V(string n, double d) => double.TryParse(Environment.GetEnvironmentVariable(n), System.Globalization.CultureInfo.InvariantCulture, out var v) ? v : d; }
