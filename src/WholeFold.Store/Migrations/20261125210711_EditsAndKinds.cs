using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace WholeFold.Store.Migrations
{
    /// <inheritdoc />
    public partial class EditsAndKinds : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(
                name: "Edits",
                table: "history",
                type: "TEXT",
                nullable: true);

            // Kinds are called as they are everywhere else: in the plural.
            migrationBuilder.Sql("UPDATE drawer SET Kind = 'stocks' WHERE Kind = 'stock';");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.Sql("UPDATE drawer SET Kind = 'stock' WHERE Kind = 'stocks';");
            migrationBuilder.DropColumn(
                name: "Edits",
                table: "history");
        }
    }
}
