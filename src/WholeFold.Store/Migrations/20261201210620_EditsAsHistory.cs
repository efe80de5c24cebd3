using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace WholeFold.Store.Migrations
{
    /// <inheritdoc />
    public partial class EditsAsHistory : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropIndex(
                name: "IX_history_DesignId",
                table: "history");

            migrationBuilder.AddColumn<int>(
                name: "Depth",
                table: "history",
                type: "INTEGER",
                nullable: false,
                defaultValue: 0);

            migrationBuilder.AddColumn<string>(
                name: "Mark",
                table: "history",
                type: "TEXT",
                maxLength: 40,
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "Program",
                table: "history",
                type: "TEXT",
                maxLength: 12,
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "Card",
                table: "designs",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "CardFor",
                table: "designs",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "State",
                table: "designs",
                type: "TEXT",
                nullable: true);

            migrationBuilder.CreateTable(
                name: "uses",
                columns: table => new
                {
                    DesignId = table.Column<string>(type: "TEXT", nullable: false),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    ThingId = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_uses", x => new { x.DesignId, x.Kind, x.ThingId });
                    table.ForeignKey(
                        name: "FK_uses_designs_DesignId",
                        column: x => x.DesignId,
                        principalTable: "designs",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateIndex(
                name: "IX_history_DesignId_Mark",
                table: "history",
                columns: new[] { "DesignId", "Mark" },
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_uses_Kind_ThingId",
                table: "uses",
                columns: new[] { "Kind", "ThingId" });

            migrationBuilder.Sql("UPDATE designs SET State = (SELECT State FROM history WHERE Id = HeadId);");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "uses");

            migrationBuilder.DropIndex(
                name: "IX_history_DesignId_Mark",
                table: "history");

            migrationBuilder.DropColumn(
                name: "Depth",
                table: "history");

            migrationBuilder.DropColumn(
                name: "Mark",
                table: "history");

            migrationBuilder.DropColumn(
                name: "Program",
                table: "history");

            migrationBuilder.DropColumn(
                name: "Card",
                table: "designs");

            migrationBuilder.DropColumn(
                name: "CardFor",
                table: "designs");

            migrationBuilder.DropColumn(
                name: "State",
                table: "designs");

            migrationBuilder.CreateIndex(
                name: "IX_history_DesignId",
                table: "history",
                column: "DesignId");
        }
    }
}
