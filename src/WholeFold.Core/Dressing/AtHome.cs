using System.Runtime.CompilerServices;
using WholeFold.Core.Designs;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Dressing;

/// <summary>A design at home, where it was chosen what it wears: worked out once for all the formats that it is made in.</summary>
internal sealed class AtHome
{
    private static readonly ConditionalWeakTable<Design, AtHome> Known = [];

    private readonly Lazy<Figures?> _figures;
    private readonly Lazy<Roles?> _roles;

    private AtHome(Design design)
    {
        _figures = new(() => Sizer.TrySize(design, design.Home));
        _roles = new(() => _figures.Value is { } figures ? Roles.Of(figures) : null);
    }

    /// <summary>The roles of its faces there; null where it has no figures at home.</summary>
    public Roles? Roles => _roles.Value;

    public static AtHome Of(Design design) => Known.GetValue(design, d => new AtHome(d));
}
