using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Design;
using Microsoft.EntityFrameworkCore.Metadata.Builders;
using WholeFold.Core.Folding;
using WholeFold.Core.Inventories;

namespace WholeFold.Store;

/// <summary>The studio's data file.</summary>
public sealed class WholeFoldContext(DbContextOptions<WholeFoldContext> options) : DbContext(options)
{
    public DbSet<DesignRow> Designs => Set<DesignRow>();

    public DbSet<HistoryRow> History => Set<HistoryRow>();

    public DbSet<UseRow> Uses => Set<UseRow>();

    public DbSet<DrawerRow> Drawer => Set<DrawerRow>();

    public DbSet<PlanRow> Plans => Set<PlanRow>();

    public DbSet<TakingRow> Takings => Set<TakingRow>();

    protected override void OnModelCreating(ModelBuilder modelBuilder) =>
        modelBuilder.ApplyConfigurationsFromAssembly(typeof(WholeFoldContext).Assembly);
}

internal sealed class DesignConfiguration : IEntityTypeConfiguration<DesignRow>
{
    public void Configure(EntityTypeBuilder<DesignRow> builder)
    {
        builder.ToTable("designs");
        builder.HasKey(d => d.Id);
        builder.Property(d => d.Id).HasMaxLength(40);
        builder.Property(d => d.Name).HasMaxLength(120);
        builder.Property(d => d.Version).IsConcurrencyToken();
        builder.HasMany(d => d.History).WithOne().HasForeignKey(h => h.DesignId).OnDelete(DeleteBehavior.Cascade);
    }
}

internal sealed class HistoryConfiguration : IEntityTypeConfiguration<HistoryRow>
{
    public void Configure(EntityTypeBuilder<HistoryRow> builder)
    {
        builder.ToTable("history");
        builder.HasKey(h => h.Id);
        builder.Property(h => h.Gesture).HasMaxLength(200);
        builder.Property(h => h.Mark).HasMaxLength(40);
        builder.Property(h => h.Program).HasMaxLength(12);
        builder.HasIndex(h => h.ParentId);
        builder.HasIndex(h => new { h.DesignId, h.Mark }).IsUnique();
    }
}

internal sealed class UseConfiguration : IEntityTypeConfiguration<UseRow>
{
    public void Configure(EntityTypeBuilder<UseRow> builder)
    {
        builder.ToTable("uses");
        builder.HasKey(u => new { u.DesignId, u.Kind, u.ThingId });
        builder.HasIndex(u => new { u.Kind, u.ThingId });
        builder.HasOne<DesignRow>().WithMany().HasForeignKey(u => u.DesignId).OnDelete(DeleteBehavior.Cascade);
    }
}

internal sealed class DrawerConfiguration : IEntityTypeConfiguration<DrawerRow>
{
    public void Configure(EntityTypeBuilder<DrawerRow> builder)
    {
        builder.ToTable("drawer");
        builder.HasKey(d => new { d.Kind, d.Id });
    }
}

internal sealed class PlanConfiguration : IEntityTypeConfiguration<PlanRow>
{
    public void Configure(EntityTypeBuilder<PlanRow> builder)
    {
        builder.ToTable("plans");
        builder.HasKey(p => p.Id);
        builder.Property(p => p.Key).HasMaxLength(64);
        builder.HasIndex(p => new { p.DesignId, p.Key }).IsUnique();
        builder.HasOne<DesignRow>().WithMany().HasForeignKey(p => p.DesignId).OnDelete(DeleteBehavior.Cascade);
    }
}

internal sealed class TakingConfiguration : IEntityTypeConfiguration<TakingRow>
{
    public void Configure(EntityTypeBuilder<TakingRow> builder)
    {
        builder.ToTable("takings");
        builder.HasKey(t => t.Id);
        builder.Property(t => t.For).HasMaxLength(200);
    }
}

/// <summary>Lets the migration tool make a context without the host.</summary>
internal sealed class DesignTimeFactory : IDesignTimeDbContextFactory<WholeFoldContext>
{
    public WholeFoldContext CreateDbContext(string[] args) =>
        new(new DbContextOptionsBuilder<WholeFoldContext>().UseSqlite("Data Source=:memory:").Options);
}
