using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Sandbar.Store.Migrations
{
    /// <inheritdoc />
    public partial class Formats : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<int>(
                name: "Format",
                table: "Journal",
                type: "INTEGER",
                nullable: false,
                defaultValue: 1);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(
                name: "Format",
                table: "Journal");
        }
    }
}
