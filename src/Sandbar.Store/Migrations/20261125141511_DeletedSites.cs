using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Sandbar.Store.Migrations
{
    /// <inheritdoc />
    public partial class DeletedSites : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<DateTimeOffset>(
                name: "Deleted",
                table: "Sites",
                type: "TEXT",
                nullable: true);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(
                name: "Deleted",
                table: "Sites");
        }
    }
}
