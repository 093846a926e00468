using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Design;

namespace Sandbar.Store;

/// <summary>Gives dotnet-ef a context to compare the model and the migrations with; no program uses it.</summary>
public sealed class SandbarDbFactory : IDesignTimeDbContextFactory<SandbarDb>
{
    public SandbarDb CreateDbContext(string[] args) => new(new DbContextOptionsBuilder<SandbarDb>().UseSqlite("Data Source=:memory:").Options);
}
