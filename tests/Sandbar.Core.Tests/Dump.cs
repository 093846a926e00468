using Sandbar.Core.Interchange;
using Sandbar.Core.Samples.Pellwyn;
namespace Sandbar.Core.Tests;
public class Dump {
  [Fact] public void Write() {
    var s = PellwynSample.Create();
    foreach (var f in SiteRelease.Files(s.Site)) { var p="/tmp/rel/"+f.Path; Directory.CreateDirectory(Path.GetDirectoryName(p)!);
      File.WriteAllBytes(p, f.Text is {} t ? System.Text.Encoding.UTF8.GetBytes(t) : s.Assets.First(a=>a.Hash==f.Hash).Bytes); }
  }
}
