using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace WholeFold.Store.Migrations
{
    /// <inheritdoc />
    public partial class OwnThings : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(
                name: "Own",
                table: "drawer",
                type: "TEXT",
                nullable: true);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(
                name: "Own",
                table: "drawer");
        }
    }
}
