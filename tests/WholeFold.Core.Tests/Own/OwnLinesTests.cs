using System.Globalization;
using WholeFold.Core.Constructions;
using WholeFold.Core.Inventories;
using WholeFold.Core.Lists.Own;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Own;

/// <summary>Lines as people write them: several pieces in one, scores both ways, the same again, halves, headings, two systems side by side.</summary>
public class OwnLinesTests
{
    internal static string Inches(Length l) => ((double)l.Units / Length.PerInch).ToString("0.###", CultureInfo.InvariantCulture);

    private static string Told(OwnPiece p) =>
        $"{(p.Quantity > 1 ? $"{p.Quantity} " : "")}{p.Name} {Inches(p.First)}x{Inches(p.Second)}"
        + (p.Scores.Count > 0 ? $" [{string.Join(' ', p.Scores.Select(at => Inches(at) + (p.Folds.TryGetValue(at, out var way) ? way == Fold.Mountain ? "m" : "v" : "")))}]" : "")
        + (p.Diagonals ? " diagonals" : "")
        + (p.Cross.Count > 0 ? $" across [{string.Join(' ', p.Cross.Select(Inches))}]" : "")
        + (p.Kind is OwnKind.Piece ? "" : $" ({p.Kind.ToString().ToLowerInvariant()})");

    public static TheoryData<string, string> Written => new()
    {
        { "mats: 4 x 5; 3 x 5 (2)", "mats 1 4x5 (paper) | 2 mats 2 3x5 (paper)" },
        { "papers 4 x 5 1/4, 4 x 1 3/4", "papers 1 4x5.25 (paper) | papers 2 4x1.75 (paper)" },
        { "tiers 6 x 3 and 6 x 4, score 1/2 from both ends", "tiers 1 6x3 [0.5 5.5] | tiers 2 6x4 [0.5 5.5]" },
        { "rear 6 x 4, score at 1/2, 5 1/2\nfront 6 x 3, same again", "rear 6x4 [0.5 5.5] | front 6x3 [0.5 5.5]" },
        { "rear 6 x 4, score at 1/2, 5 1/2\nfront 6 x 3: score as the rear", "rear 6x4 [0.5 5.5] | front 6x3 [0.5 5.5]" },
        { "tray 6 x 5 score 1 from all four sides", "tray 6x5 [1 5] across [1 4]" },
        { "pocket 8 1/2 x 7 1/2; score at 4 1/4 and along the 7 1/2 side at 2", "pocket 8.5x7.5 [4.25] across [2]" },
        { "carrier 3 1/2 x 7 1/2, score at 1 3/4 lengthwise and across the middle", "carrier 3.5x7.5 [1.75] across [3.75]" },
        { "base 10 x 5\n2 1/2, 7 1/2", "base 10x5 [2.5 7.5]" },
        { "base 5 x 7, score 2 from the bottom", "base 5x7 [2]" },
        { "Cut 4 @ 3 x 6. Score each 1 1/2 in from both short ends", "4 piece 1 3x6 [1.5 4.5]" },
        { "strip 7 x 4, score each 1 in", "strip 7x4 [1 2 3 4 5 6]" },
        { "back 9 x 5 1/2; 1\" walls", "back 9x5.5 [1 8]" },
        { "liner 4 x 12, halved", "liner 4x12 [6]" },
        { "frame 7 x 6, walls of 1/2 at both ends", "frame 7x6 [0.5 6.5]" },
        { "two tiers 7 x 3 and 7 x 4; 1/2 tabs each end", "tiers 1 7x3 [0.5 6.5] | tiers 2 7x4 [0.5 6.5]" },
        { "pockets 3 3/4 sq folded (x2)", "2 pockets 3.75x3.75 [1.875]" },
        { "2 pieces 10 x 5: one folded in half, the other scored at 2 1/2, 5 and 7 1/2", "piece 1 10x5 [5] | other piece 1 10x5 [2.5 5 7.5]" },
        { "A: 10 x 7, s at 5\na card 9 x 7\nwindow in A: 3 x 5", "a 10x7 [5] | piece 2 9x7 | window 3x5 (window)" },
        { "A) 10 x 7 backing\nB) 9 x 7, score at 4", "backing 10x7 | b 9x7 [4]" },
        { "base 8 1/2 x 5 1/2, score 4 1/4 from the top", "base 8.5x5.5 [4.25]" },
        { "base 10 x 7 score at 5, and 2 from the bottom", "base 10x7 [5] across [2]" },
        { "base 10 x 7 score 5\nscore 2 from the bottom", "base 10x7 [5] across [2]" },
        { "base 10 x 7 score 5, fold the bottom up 2", "base 10x7 [5] across [2]" },
        { "base 10 x 7, score 5; fold up 2 along the bottom", "base 10x7 [5] across [2]" },
        { "base 10 x 7, score 5, bottom folded up by 2 inches", "base 10x7 [5] across [2]" },
        { "strip 4 x 11, folds 5 1/2, 6 5/8, 8 5/8 from the top edge", "strip 4x11 [5.5 6.625 8.625]" },
        { "base 10 x 7\nwindow in the front 3 1/2 x 6, in the back 3 x 5", "base 10x7 | window in front 3.5x6 (window) | in back 3x5 (window)" },
        { "base 10 x 7\ncircle window 2 1/2 in the front", "base 10x7 | circle 2.5x2.5 (window)" },
        { "base 10 x 5\nScores: 2 1/2 / 7 1/2\ncut away the corners", "base 10x5 [2.5 7.5]" },
        { "base 9 3/4 x 7, scored at 4 3/4 (so the front is 1/4 short)", "base 9.75x7 [4.75]" },
        { "piece 6 x 6, score at 1 1/2 and 4 1/2, cut in half at 3", "piece 1 6x6 [1.5 4.5]" },
        { "tower 7 x 4, score every inch for four inches", "tower 7x4 [1 2 3 4]" },
        { "tube 7 x 4, score every 1 in, 3 times", "tube 7x4 [1 2 3]" },
        { "base 10 x 5 in (25.4 x 12.7 cm), score at 5 in (12.7 cm)", "base 10x5 [5]" },
        { "pillars: two 4 wide x 7 tall and three 4 x 5", "2 pillars 1 4x7 | 3 pillars 2 4x5" },
        { "paper for a door 2 x 4", "paper door 2x4 (paper)" },
        { "for a 5 x 7 card\nbase 10 x 7", "card 5x7 (finished) | base 10x7" },
        { "tier one 7 x 3\ntier two 7 x 4", "tier one 7x3 | tier two 7x4" },
        { "2 circles 2 1/4 x 2 1/4 for the spinner", "2 circles 2.25x2.25" },
        { "liner 4 1/2 x 13, fold in half", "liner 4.5x13 [6.5]" },
        { "inside liner 5 1/4 x 4", "inside liner 5.25x4 (paper)" },
        { "fin 3 1/2 x 5, three of them", "3 fin 3.5x5" },
        { "Night card\nYou need:\nbase 10 x 5", "base 10x5" },
        { "A2 note card\nbase 8 1/2 in. by 5 1/2 in., score at 4 1/4 in.", "base 8.5x5.5 [4.25]" },
        { "front 7 1/2 wide and 5 high, score 1/2 in from the left and right edges", "front 7.5x5 [0.5 7]" },
        { "Sheet: length 12, width 6. Scores at .5, 11.5", "sheet 12x6 [0.5 11.5]" },
        { "strip - 7\" (w) x 4\" (h), scored 1\", 2\"", "strip 7x4 [1 2]" },
        { "front 6 x 7, score 1/2 from each long side", "front 6x7 [0.5 5.5]" },
        { "layer 6 x 4, score 1/2 from both short ends", "layer 6x4 [0.5 5.5]" },
        { "layer 6 x 4; 1/2 both ends", "layer 6x4 [0.5 5.5]" },
        { "sheet 7 x 14, score at 1, 6. Rotate and score at 4, 11", "sheet 7x14 [1 6] across [4 11]" },
        { "sheet 7 x 14, score at 1, 6\nturn it and score at 4, 11", "sheet 7x14 [1 6] across [4 11]" },
        { "tube 7 x 4 score every inch up to 4", "tube 7x4 [1 2 3 4]" },
        { "base 9 x 9, score every 3 in on both sides", "base 9x9 [3 6] across [3 6]" },
        { "carrier 7 x 3 1/2, score in half along the length and across", "carrier 7x3.5 [3.5] across [1.75]" },
        { "sheet 12 x 6; mountain at 3 and 9; valley at 1/2, 11 1/2", "sheet 12x6 [0.5v 3m 9m 11.5v]" },
        { "strip 8 x 4, score 2 (mountain), 4, 6 (valley)", "strip 8x4 [2m 4 6v]" },
        { "strip 8 x 4, valley folds at 2 and 6, mountain fold at 4", "strip 8x4 [2v 4m 6v]" },
        { "strip 8 x 4: score at 2 mountain, 4 valley", "strip 8x4 [2m 4v]" },
        { "sheet 10 x 4, mountain 1/2 in from both ends, valley at 5", "sheet 10x4 [0.5m 5v 9.5m]" },
        { "sheet 8 x 5\nscore at 2, 4, 6\nmountain fold at 4, valleys at 2 and 6", "sheet 8x5 [2v 4m 6v]" },
        { "piece of white cardstock that measures 11 inches by 4.25 inches.\nUsing your score board, score at 5.5 inches.", "white 11x4.25 [5.5]" },
        { "walls: one piece eight and a half by five, valley folds 1\" from each short edge\nscene 7 1/2 x 3, mountain folds 1/2\" in from left and right\nother scene 7 1/2 x 4, mountain folds the same", "walls 8.5x5 [1v 7.5v] | scene 7.5x3 [0.5m 7m] | other scene 7.5x4 [0.5m 7m]" },
        { "base 5 by 10, score 1/2, 2 1/2, 4 1/2, flip it end for end and score 1/2, 2 1/2, 4 1/2 again", "base 5x10 [0.5 2.5 4.5 5.5 7.5 9.5]" },
        { "base 5 x 10, score 1/2, 2 1/2\nturn it round and score the same", "base 5x10 [0.5 2.5 7.5 9.5]" },
        { "frame 8 x 7, on the 8\" side score 1/2, 1, turn 180 and score 1/2, 1", "frame 8x7 [0.5 1 7 7.5]" },
        { "frame 8 x 5, score 1/2, 1 from the left and 3/4 from the right", "frame 8x5 [0.5 1 7.25]" },
        { "frame 8 x 5, score at 1 and again from the other end", "frame 8x5 [1 7]" },
        { "frame 8 x 5, from the left edge score 1, from the right edge score 1 1/2", "frame 8x5 [1 6.5]" },
        { "back 7 x 5 scored 1/2\" on two opposite sides", "back 7x5 [0.5 6.5]" },
        { "pocket 5 x 4, score 1/2 on three sides", "pocket 5x4 [0.5 4.5] across [0.5]" },
        { "box 10 x 5, folds: 1/2, 5, 5 1/2", "box 10x5 [0.5 5 5.5]" },
        { "card 11 x 5 1/2 (fold at 5 1/2)\nInner piece, same size, accordion folded every 2 3/4", "piece 1 11x5.5 [5.5] | inner 11x5.5 [2.75 5.5 8.25]" },
        { "base 11 x 5\nliner the same size as the base, fold in half", "base 11x5 | liner 11x5 [5.5]" },
        { "A: 4 tall 9 long, score 1 1/4, 2 1/2\nB, C, D: 4 x 4 each", "a 9x4 [1.25 2.5] | 3 b c d 4x4" },
        { "tube: height 6 in, length 8 in, creases at 1 1/4 in and 5 in", "tube 8x6 [1.25 5]" },
        { "one: 6 x 6, score 1.5 and 4.5, cut in half\ncard two: the same", "piece 1 6x6 [1.5 4.5] | two 6x6 [1.5 4.5]" },
        { "envelope: square of 8 3/8, punch at 4 1/8", "envelope 8.375x8.375 [4.125]" },
        { "base 10 x 5 - half fold", "base 10x5 [5]" },
        { "3 in circle through both layers", "through layers 3x3 (window)" },
        { "clear 14 x 26, scores every 1 1/4 from 10 1/2 to 15 1/2", "clear 14x26 [10.5 11.75 13 14.25 15.5]" },
        { "base 5 x 11 s/f 5 1/2", "base 5x11 [5.5]" },
        { "base: 8 x 6, score at 4? no, 10 x 6, score at 5", "base 10x6 [5]" },
        { "Bring both short sides of a sheet 12 x 4 to the middle, score at 3 and 9", "bring short sides sheet 12x4 [3 9]" },
        { "box to take a 5 x 7 card\nsheet 10 x 11", "box take 5x7 (finished) | sheet 10x11" },
        { "Offset gate 5x7\n10 in x 7 in, scored 3\" from LH edge and 2\" from RH edge", "offset gate 5x7 (finished) | piece 1 10x7 [3 8]" },
        { "Stepper for 6x6\n6 x 13; score 6, 7 1/4", "stepper 6x6 (finished) | piece 1 6x13 [6 7.25]" },
        { "pillar: 5 x 7, scores 1, 2, 3 - make 2", "2 pillar 5x7 [1 2 3]" },
        { "5 wide by 12 1/2 long; from one end: 7, 8 1/2, 11", "piece 1 5x12.5 [7 8.5 11]" },
        { "base (4 1/4 wide) 9 1/8 long - score 3/8, 1 3/8", "base 4.25x9.125 [0.375 1.375]" },
        { "width of card stock 8.5, height 11: score at 2 3/4 and 8 1/4 on the 11 in side", "piece 1 8.5x11 [2.75 8.25]" },
        { "strip 3 1/2 square? 3 1/2 x 8, score 4", "strip 3.5x8 [4]" },
        { "insert 11 1/2 x 10, score 5 3/4\nsnip 4 3/8 x 1/4 off each corner", "insert 11.5x10 [5.75]" },
        { "insert 11 1/2 x 10\nphoto corner 1 x 1 at each corner", "insert 11.5x10 | photo corner 1x1" },
        { "insert 11 1/2 x 10, score 5 3/4\nglue the tag on the diagonal", "insert 11.5x10 [5.75]" },
        { "side eight by four and a quarter", "side 8x4.25" },
        { "sheet 9 wide 7 high, fold at 2, 3 (only 1 1/4 in from top and bottom)", "sheet 9x7 [2 3]" },
        { "outside 5 x 10 1/2 - score 7 (flap is 3 1/2)\ninside folded card 4 1/2 x 13 - score 6 1/2", "outside 5x10.5 [7] | inside folded 4.5x13 [6.5]" },
        { "tent 14 x 5 sc 3 1/2, 7, 10 1/2 - stick 1 1/2 from edge", "tent 14x5 [3.5 7 10.5]" },
        { "wall 12 3/4 x 5 1/2: 2 1/8 - 4 1/4 - 8 1/2 - 10 5/8 score lines", "wall 12.75x5.5 [2.125 4.25 8.5 10.625]" },
        { "pocket 4 1/4 x 3, score 1/4 on both short sides and the bottom", "pocket 4.25x3 [0.25 4] across [0.25]" },
        { "A card that pops out\nbase 10 x 5", "base 10x5" },
        { "3 tiers, all 6.5 wide, scored 1/4 & 6 1/4; heights 2 1/2, 3", "tiers all 1 6.5x2.5 [0.25 6.25] | tiers all 2 6.5x3 [0.25 6.25]" },
        { "Step1 cut base: 4 1/4 by 9. Step2 score it at 1 1/4, 2 1/2. Step3 cut band 6 1/2 by 1 1/2.", "base 4.25x9 [1.25 2.5] | band 6.5x1.5" },
        { "frame 6 1/2 x 5 1/2 (scores at 1/2\" on left & right)", "frame 6.5x5.5 [0.5 6]" },
        { "frame 8 x 6: 3/4 | 6 1/2 | 3/4", "frame 8x6 [0.75 7.25]" },
        { "frame 10 x 6, score at 7 and 3", "frame 10x6 [3 7]" },
        { "frame 10 x 6: 7 | 3", "frame 10x6 [7]" },
        { "frame 8 x 6, folds: 2 + 4 + 2", "frame 8x6 [2 6]" },
        { "main 6 x 13, score 1/2, 8\nfacade 4 x 5 1/2, score 1/2, 1 1/2", "main 6x13 [0.5 8] | facade 4x5.5 [0.5 1.5]" },
        { "2 identical pieces 10 x 7\nOne: score 5\nOther: score 2 1/2, 5, 7 1/2", "identical 10x7 [5] | other identical 10x7 [2.5 5 7.5]" },
        { "sheet 4 3/4 x 15\nscores on the long side at 6 1/2 then every 1/2 until 8 1/2", "sheet 4.75x15 [6.5 7 7.5 8 8.5]" },
        { "outer card: 8 1/2 x 5 1/2, half", "outer 8.5x5.5 [4.25]" },
        { "inner twist: 3 x 5 1/2, half both ways", "inner twist 3x5.5 [2.75] across [1.5]" },
        { "zig zag: 7 1/2 x 3 1/4 - 1 7/8, 3 3/4, 5 5/8", "zig zag 7.5x3.25 [1.875 3.75 5.625]" },
        { "base 11 7/8 x 6 - 2 15/16 - 8 15/16", "base 11.875x6 [2.938 8.938]" },
        { "tube 6 x 9 (score 9 side 1.5 3 4.5 6)", "tube 6x9 [1.5 3 4.5 6]" },
        { "sheet 5 tall, 9 long; score at 2, 3, 6, 7 along top and bottom rails 3/4 deep", "sheet 9x5 [2 3 6 7]" },
        { "base 11 x 5 1/2, s 5 1/2", "base 11x5.5 [5.5]" },
        { "carton: 8 1/2 x 5 1/2: score 2, 4, 6, 8 on the long side; on the short side 1 and 4", "carton 8.5x5.5 [2 4 6 8] across [1 4]" },
        { "tunnel: 12 x 6, fold lines 1/2 6 6 1/2; cut out 4 1/2 x 4 3/4", "tunnel 12x6 [0.5 6 6.5] | cutout 4.5x4.75 (window)" },
        { "sheet 9 x 5: score 2/3/6/7", "sheet 9x5 [2 3 6 7]" },
        { "tunnel 10 x 7: 1/2, 5, 5 1/2", "tunnel 10x7 [0.5 5 5.5]" },
        { "strip 11 x 3 3/4, every 2 3/4", "strip 11x3.75 [2.75 5.5 8.25]" },
        { "sheet 11 x 4 1/4 folded to 5 1/2 x 4 1/4", "sheet 11x4.25 [5.5]" },
        { "half sheet 5 1/2 x 8 1/2, folded at 4 1/4", "half sheet 5.5x8.5 [4.25]" },
        { "base 5 x 10, score at 1, 4, 10", "base 5x10 [1 4]" },
        { "front 6 x 5, scores 1/2 & 5 1/2, hole 4 1/2 x 4 in the middle", "front 6x5 [0.5 5.5] | hole 4.5x4 (window)" },
        { "outside 12 x 6 folded in half. inside 12 x 6 score at 3, 9", "outside 12x6 [6] | inside 12x6 [3 9]" },
        { "two circles 1 3/4", "2 circle 1.75x1.75" },
        { "Make two: 6 x 6, score at 1 1/2", "2 piece 1 6x6 [1.5]" },
        { "strips: 2 of 6 x 3", "2 strips 6x3" },
        { "Gatefold 5 x 7\nbase 10 x 7", "gatefold 5x7 (finished) | base 10x7" },
        { "(5 x 7)\nbase 10 x 7", "card 5x7 (finished) | base 10x7" },
        { "base 10 x 7 (2)\nGatefold 5 x 7", "2 base 10x7 | gatefold 5x7" },
        { "Trifold 11 x 8 1/2\nscore at 3 5/8", "trifold 11x8.5 [3.625]" },
        { "Shadow box (5 x 7)\nfront 6 x 7", "shadow box 5x7 (finished) | front 6x7" },
        { "box envelope for a 5 x 7\nsheet 7 x 15", "box envelope 5x7 (finished) | sheet 7x15" },
        { "piece\tlong\thigh\tscores\tqty\nbase\t8\t5\t1, 7\t\nfin\t3\t4\t\t3", "base 8x5 [1 7] | 3 fin 3x4" },
        { "Base | 10 | 5 | 1.5, 8.5\nBridge | 7 | 1.625 |", "base 10x5 [1.5 8.5] | bridge 7x1.625" },
        { "part,width,height,scores\nbase,10,5,2.5,7.5\nmat,4,4.75", "base 10x5 [2.5 7.5] | mat 4x4.75 (paper)" },
        { "12 by 4, score on the long side: 1 | 3 | 4", "piece 1 12x4 [1 3 4]" },

        // Inches in words.
        { "front 6 x 5, scored half an inch from each side", "front 6x5 [0.5 5.5]" },
        { "back 5 1/2 x 5, score a quarter inch in on both sides", "back 5.5x5 [0.25 5.25]" },
        { "tier 7 x 3, score three quarters of an inch from both ends", "tier 7x3 [0.75 6.25]" },
        { "strip 8 x 5, score an inch and a half from each end", "strip 8x5 [1.5 6.5]" },
        { "frame 8 x 6 - 1 inch fold on all four sides", "frame 8x6 [1 7] across [1 5]" },

        // How many, before a size or behind it.
        { "doors 2x 2 1/4 x 5", "2 doors 2.25x5" },
        { "2 x 1 13/16 x 5 1/4 print", "2 print 1.813x5.25 (paper)" },
        { "4 x 6 x8", "8 piece 1 4x6" },
        { "2 @ 2 1/2 x 5 1/4 print", "2 print 2.5x5.25 (paper)" },
        { "covers 2 of 3 1/8 x 4 1/8", "2 covers 3.125x4.125" },
        { "inserts: 1 x 3 1/8, score 1/2 each end, 3 of", "3 inserts 1x3.125 [0.5 2.625]" },
        { "front panels 4 x 3 7/8 (4 of)", "4 front panels 4x3.875" },
        { "fins 3 pc 3 1/2 x 5", "3 fins 3.5x5" },
        { "holder 3 1/2 x 3 1/2 (cut 2, fold each in half)", "2 holder 3.5x3.5 [1.75]" },
        { "four 2 1/4 x 6 3/4 pieces of print, 2 for the outside", "4 print outside 2.25x6.75 (paper)" },
        { "carrier 3 x 6, two diagonals", "carrier 3x6" },
        { "gift card 3 3/8 x 2 1/8", "gift card 3.375x2.125" },

        // What the card is called, and its size, over its pieces.
        { "double swing 5x5\n9 x 5. Score 2, 3, 6, 7. Rails 3/4\" top and bottom.", "double swing 5x5 (finished) | piece 1 9x5 [2 3 6 7]" },
        { "offset gatefold, 5 1/2 x 4 1/4: card 10 15/16 x 4 1/4 scored at 3 7/16 and 8 15/16", "offset gatefold 5.5x4.25 (finished) | offset gatefold 10.938x4.25 [3.438 8.938]" },
        { "Pinwheel stand, 5\" square when flat.\nStrip: 6 1/2 x 5, scored every inch, leaving 2 1/2 for the fin", "pinwheel stand 5x5 (finished) | strip 6.5x5 [1 2 3 4]" },
        { "Gate card A2 (4 1/4 w x 5 1/2 h)\n8 3/8 x 5 1/2", "gate a2 4.25x5.5 (finished) | piece 1 8.375x5.5" },
        { "kinetic stand 5 x 5\ninner 10 x 5, score 5", "kinetic stand 5x5 (finished) | inner 10x5 [5]" },
        { "front panel 5 x 5\ninner 10 x 5, score 5", "front panel 5x5 | inner 10x5 [5]" },
        { "Layered scene, fits a 7 x 5 envelope\nbase 8 x 5, score 1, 7", "base 8x5 [1 7]" },
        { "2-row column card\nback 5 x 5", "back 5x5" },

        // Scores said in other ways.
        { "11 x 4 1/4 - fold ends in to the centre", "piece 1 11x4.25 [2.75 8.25]" },
        { "tube 7 x 4, score each inch", "tube 7x4 [1 2 3 4 5 6]" },
        { "base 8 1/4 x 5 :: 1 1/4, 7", "base 8.25x5 [1.25 7]" },
        { "base 8 3/4 x 6 -> 1 3/8 / 2 3/4 / 6 / 7 3/8", "base 8.75x6 [1.375 2.75 6 7.375]" },
        { "inner 10 x 7, quarters (2 1/2, 5, 7 1/2)", "inner 10x7 [2.5 5 7.5]" },
        { "base 8 1/2 x 5 1/2 (fold to 4 1/4 x 5 1/2)", "base 8.5x5.5 [4.25]" },
        { "base 10 x 7, folded", "base 10x7 [5]" },
        { "pocket 4 x 3, fold up 1/2 on three sides", "pocket 4x3 [0.5 3.5] across [0.5]" },
        { "sheet 5 x 8 1/2, score long side at 2, 3 1/2, 5 1/2; short side at 1 1/2 and 3 1/2", "sheet 5x8.5 [2 3.5 5.5] across [1.5 3.5]" },
        { "sheet 8 1/2 x 11. On the 11 side score at 4, 6, 10. On the 8 1/2 side score at 2.", "sheet 8.5x11 [4 6 10] across [2]" },
        { "insert 8 x 7, scored in half with two diagonals from the centre at 45", "insert 8x7 [4] diagonals" },
        { "carrier 90 mm x 200 mm, score 45 mm, diagonals on both halves", "carrier 3.543x7.874 [1.772] diagonals" },
        { "base 10 x 5, score at 0,5", "base 10x5 [0.5]" },
        { "base 10 x 5, score: the mountain is at 5, valleys are 2, 8", "base 10x5 [2v 5m 8v]" },
        { "square 5 in, score both diagonals", "piece 1 5x5 diagonals" },
        { "base 9 x 9, score 3,6", "base 9x9 [3 6]" },
        { "base 5 x 14 1/2, score 7, 8 1/2, 11, 12 1/2, leaves a 2 in tab", "base 5x14.5 [7 8.5 11 12.5]" },
        { "side 4 1/4 x 9 3/8, folds at 3/8, 1 3/8 - the big panel (5 1/2) is left", "side 4.25x9.375 [0.375 1.375]" },
        { "rear 6 x 4, score at 1/2, 5 1/2\nsecond is the same as the first", "rear 6x4 [0.5 5.5] | second 6x4 [0.5 5.5]" },
        { "2 squares 5 x 5, score 1 1/4 and 3 3/4\n2nd: same as the first, turned", "2 squares 5x5 [1.25 3.75]" },
        { "strip 8 x 5, fold 4. 3 fins 3 x 4", "strip 8x5 [4] | 3 fins 3x4" },
        { "step 4 3/16 x 5 7/16", "step 4.188x5.438" },
        { "#1 sheet 8 1/2 x 5 1/2", "sheet 8.5x5.5" },
        { "Cut a sheet of 8 1/2 x 11 in half to get 8 1/2 x 5 1/2", "sheet 8.5x5.5" },
        { "front 4 x 5 w/ 2 x 3 opening", "front 4x5 | window 2x3 (window)" },
        { "bow window 5 x 7", "bow window 5x7" },
        { "front 5 1/2 x 7, 1/2\" score lines on the two long sides, window 3 1/2 x 5 1/2", "front 5.5x7 [0.5 5] | window 3.5x5.5 (window)" },
        { "card front 4 1/4 x 8 1/4 (score at 5 1/2, flap is 2 3/4)", "front 4.25x8.25 [5.5]" },
        { "base 12 x 6; m 1/2, v 3, m 5 1/2", "base 12x6 [0.5m 3v 5.5m]" },
        { "tube 8 1/2 x 4 1/4; 2 1/8 v, 4 1/4 m, 6 3/8 v", "tube 8.5x4.25 [2.125v 4.25m 6.375v]" },
        { "spinner: two 1 3/4\" circles", "2 spinner 1.75x1.75" },
        { "2 circles 2 1/4", "2 circle 2.25x2.25" },
        { "5 x 7 envelope: 9 7/16 x 9 7/16, score 4", "envelope 5x7 (finished) | envelope 9.438x9.438 [4]" },
        { "cardstock 11 x 8 1/2, trim to 8 3/8 x 5 1/2", "piece 1 8.375x5.5" },
        { "Hinged box: 7 x 9, score on the 9 side 1, 4, 5, 8; on the 7 side 1, 6", "hinged box 7x9 [1 4 5 8] across [1 6]" },
        { "Book card. cover 9 x 6, score 4 1/4, 4 3/4. Pages: three, 8 x 5 3/4, folded in half.", "cover 9x6 [4.25 4.75] | 3 pages 8x5.75 [4]" },
        { "square of cardstock 8 1/8, score first side at 3 1/2", "piece 1 8.125x8.125 [3.5]" },
    };

    [Theory]
    [MemberData(nameof(Written))]
    public void A_list_is_read_clause_by_clause(string text, string told)
    {
        var list = OwnListReader.Read(text, DisplayUnit.Inch);
        Assert.Equal(told, string.Join(" | ", list.Pieces.Select(Told)));
        Assert.Empty(list.Left);
    }

    [Theory]
    [InlineData("| piece | W | H | score |\n|---|---|---|---|\n| base | 20.7 | 14.8 | 5.1, 15.6 |", "cm", "8.15x5.827")]
    [InlineData("A4 sheet cut in half\nscore at 105", "mm", "5.846x")]
    [InlineData("base 280 x 140, score at 70, 210", null, "11.024x5.512")]
    [InlineData("base 29,6 x 10,5 score 14,8", null, "11.654x4.134")]
    [InlineData("base 10 1/2 x 5", null, "10.5x5")]
    [InlineData("base 10 x 5", null, "10x5")]
    [InlineData("all in cm\nbase 10 x 5", null, "3.937x1.969")]
    [InlineData("board 150 x 200\nwindow 100 x 150 in the board", null, "5.906x7.874")]
    [InlineData("card 210 x 148, fold 105, stick 21 in from the edges", "mm", "8.268x5.827")]
    [InlineData("base 210 x 148, score 105\nwindow 1 cm from the top", "mm", "8.268x5.827")]
    [InlineData("spinners 2x 4,8 cm circle", "mm", "1.89x1.89")]
    public void Units_are_named_once_or_told_by_the_figures(string text, string? unit, string size)
    {
        var piece = OwnListReader.Read(text, unit is null ? null : UnitReader.Read(unit, "unit")).Pieces[0];
        Assert.Contains(size, $"{Inches(piece.First)}x{Inches(piece.Second)}x", StringComparison.Ordinal);
    }

    [Fact]
    public void A_title_and_figures_with_names_are_kept()
    {
        var list = OwnListReader.Read("Signal flags\nbase 11 x 4 1/4, score at 5 1/2\nrails 7/8 in\nsticks 1 1/4 from the fore-edges", DisplayUnit.Inch);
        Assert.Equal("Signal flags", list.Title);
        Assert.Equal([(3, "rails", Support.In("7/8")), (4, "sticks from the fore-edges", Support.In("1 1/4"))], list.Named.Select(n => (n.Line, n.Name, n.Value)));
        Assert.Empty(list.Left);
    }

    [Fact]
    public void So_far_from_the_foot_is_read_along_the_height() =>
        Assert.Equal([false, true, false], new[] { "base 5 x 7, score 2 from the bottom", "base 8 1/2 x 5 1/2, score 4 1/4 from the top", "base 5 x 7, fold up 2 from the bottom" }.Select(line => OwnListReader.Read(line, DisplayUnit.Inch).Pieces.Single().AlongFirst));
}
