using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Metadata;
using Sandbar.Store.CompiledModel;

namespace Sandbar.Store.Tests;

/// <summary>The model that is compiled in, so that it need not be built at every start, is the one that the tables are described by.</summary>
public class CompiledModelTests
{
    [Fact]
    public void It_is_the_model_of_the_tables()
    {
        using var db = new SandbarDbFactory().CreateDbContext([]);
        Assert.Same(SandbarDbModel.Instance, db.Model);
        var described = db.GetService<IDesignTimeModel>().Model;
        Assert.Equal(Described(described), Described(SandbarDbModel.Instance));
    }

    private static IEnumerable<string> Described(IReadOnlyModel model) =>
        from type in model.GetEntityTypes()
        from line in type.GetProperties().Select(p => $"{type.GetTableName()}.{p.GetColumnName()} {p.GetColumnType()} null {p.IsNullable} generated {p.ValueGenerated}")
            .Concat(type.GetKeys().Select(k => $"{type.GetTableName()} key {string.Join(',', k.Properties.Select(p => p.Name))} {k.IsPrimaryKey()}"))
            .Concat(type.GetForeignKeys().Select(k => $"{type.GetTableName()} to {k.PrincipalEntityType.GetTableName()} {string.Join(',', k.Properties.Select(p => p.Name))} {k.DeleteBehavior}"))
            .Concat(type.GetIndexes().Select(i => $"{type.GetTableName()} index {string.Join(',', i.Properties.Select(p => p.Name))} {i.IsUnique}"))
        orderby line
        select line;
}
