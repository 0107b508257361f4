// usage: node rename.mts specfile ; lines: file|name|new[|Container][|nth]
import ts from 'typescript';
import fs from 'node:fs';
import path from 'node:path';
const root=process.cwd();
const cfg=ts.getParsedCommandLineOfConfigFile(path.join(root,'tsconfig.json'),{},{...ts.sys,onUnRecoverableConfigFileDiagnostic(){}} as any)!;
const texts=new Map<string,string>(); const vers=new Map<string,number>();
const host:ts.LanguageServiceHost={getScriptFileNames:()=>cfg.fileNames,getScriptVersion:f=>String(vers.get(f)??0),
 getScriptSnapshot:f=>{const t=texts.get(f)??(fs.existsSync(f)?fs.readFileSync(f,'utf8'):undefined);return t===undefined?undefined:ts.ScriptSnapshot.fromString(t)},
 getCurrentDirectory:()=>root,getCompilationSettings:()=>cfg.options,getDefaultLibFileName:o=>ts.getDefaultLibFilePath(o),fileExists:ts.sys.fileExists,readFile:ts.sys.readFile,readDirectory:ts.sys.readDirectory,directoryExists:ts.sys.directoryExists,getDirectories:ts.sys.getDirectories,realpath:ts.sys.realpath};
const ls=ts.createLanguageService(host);
const touched=new Set<string>();
for(const line of fs.readFileSync(process.argv[2],'utf8').split('\n')){
 if(!line.trim()||line.startsWith('#'))continue;
 const [file,name,to,container]=line.split('|').map(s=>s.trim());
 const f=path.join(root,file); const sf=ls.getProgram()!.getSourceFile(f);
 if(!sf){console.log('NOFILE',line);continue}
 let pos=-1;
 const visit=(n:ts.Node,inside:boolean)=>{
  if(pos>=0)return;
  const nm=(n as any).name;
  let now=inside;
  if(container&&nm&&ts.isIdentifier(nm)&&nm.text===container)now=true;
  if(now&&nm&&ts.isIdentifier(nm)&&nm.text===name&&!ts.isImportSpecifier(n)&&!ts.isBindingElement(n)&&!ts.isPropertyAccessExpression(n)&&!ts.isShorthandPropertyAssignment(n)){pos=nm.getStart(sf);return}
  if(now&&ts.isBindingElement(n)&&nm&&ts.isIdentifier(nm)&&nm.text===name&&!n.propertyName&&container){pos=nm.getStart(sf);return}
  ts.forEachChild(n,c=>visit(c,now));
 };
 visit(sf,!container);
 if(pos<0){console.log('NOSYM',line);continue}
 const locs=ls.findRenameLocations(f,pos,false,false,false as any);
 if(!locs){console.log('NOLOC',line);continue}
 const by=new Map<string,ts.RenameLocation[]>();
 for(const l of locs){ if(l.fileName.includes('node_modules'))continue; by.set(l.fileName,[...(by.get(l.fileName)??[]),l]);}
 let n=0;
 for(const[fn,ls2]of by){let t=texts.get(fn)??fs.readFileSync(fn,'utf8');
  const seen=new Set<number>();
  for(const l of ls2.sort((a,b)=>b.textSpan.start-a.textSpan.start)){ if(seen.has(l.textSpan.start))continue; seen.add(l.textSpan.start); t=t.slice(0,l.textSpan.start)+(l.prefixText??'')+to+(l.suffixText??'')+t.slice(l.textSpan.start+l.textSpan.length);n++}
  texts.set(fn,t);vers.set(fn,(vers.get(fn)??0)+1);touched.add(fn)}
 console.log(`${name} -> ${to}: ${n} in ${by.size}`);
}
for(const fn of touched)fs.writeFileSync(fn,texts.get(fn)!);
