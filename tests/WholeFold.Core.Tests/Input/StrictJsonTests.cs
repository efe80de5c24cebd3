using System.ComponentModel.DataAnnotations;
using WholeFold.Core.Input;
using Xunit;

namespace WholeFold.Core.Tests.Input;

/// <summary>The one gate in front of everything that is read.</summary>
public class StrictJsonTests
{
    public sealed record Inner([property: MaxLength(4)] string Text);

    public sealed record Outer
    {
        public required int Number { get; init; }

        public Inner? Maybe { get; init; }

        public IReadOnlyList<Inner> List { get; init; } = [];

        public IReadOnlyDictionary<string, Inner> Map { get; init; } = new Dictionary<string, Inner>();
    }

    private static InputProblemException Refused(string json) => Assert.Throws<InputProblemException>(() => StrictJson.Read<Outer>(json, "body", "code", "an example"));

    [Theory]
    [InlineData("", "body")]
    [InlineData("{", "body")]
    [InlineData("[]", "body")]
    [InlineData("null", "body")]
    [InlineData("{}", "body.number")]
    [InlineData("""{"number": null}""", "body.number")]
    [InlineData("""{"number": "1"}""", "body.number")]
    [InlineData("""{"number": 1.5}""", "body.number")]
    [InlineData("""{"number": 1, "number": 2}""", "body.number")]
    [InlineData("""{"number": 1, "colour": 2}""", "body.colour")]
    [InlineData("""{"Number": 1}""", "body.Number")]
    [InlineData("""{"number": 1, "maybe": {}}""", "body.maybe.text")]
    [InlineData("""{"number": 1, "maybe": {"text": "too long"}}""", "body.maybe.text")]
    [InlineData("""{"number": 1, "list": null}""", "body.list")]
    [InlineData("""{"number": 1, "list": [{"text": "a"}, null]}""", "body.list[1]")]
    [InlineData("""{"number": 1, "map": {"x": null}}""", "body.map.x")]
    [InlineData("""{"number": 1, "map": {"x": {"text": 1}}}""", "body.map.x.text")]
    public void Tells_the_place_of_what_is_wrong(string json, string place)
    {
        var refused = Refused(json);
        Assert.Equal((place, "code", "an example"), (refused.Field, refused.Code, refused.Accepted));
        Assert.DoesNotContain("System.", refused.Reason, StringComparison.Ordinal);
    }

    [Fact]
    public void Takes_what_is_right()
    {
        var read = StrictJson.Read<Outer>("""{"number": 1, "maybe": null, "list": [{"text": "a"}], "map": {"any key": {"text": "b"}}}""", "body", "code", "an example");
        Assert.Equal((1, "a", "b"), (read.Number, read.List[0].Text, read.Map["any key"].Text));
    }

    [Fact]
    public void Goes_no_deeper_than_anything_needs() => Assert.Equal("body", Refused(new string('[', 100_000)).Field);
}
